import { c } from './constant';

/** Constants of what a diary of use teaches (handbook 9.4). */
export const USE = {
  priorUses: c(
    60,
    'uses',
    'what was reckoned counts as so many uses beside those written down: it learns slowly',
    'house judgement',
  ),
  halfLifeDays: c(180, 'days', 'a use so old counts half: cooking changes', 'house judgement'),
  mostADay: c(3, 'uses', 'of one knife count on one day: a tap more is no more cutting', 'house judgement'),
  mostFactor: c(
    2,
    'times',
    'work of a kind grows or shrinks at most so much, before minutes in all are made even',
    'house judgement',
  ),
  leastShare: c(0.02, 'share', 'below it a knife has no work worth comparing', 'house judgement'),
  told: {
    uses: c(20, 'uses', 'from so many on knives are compared with what was reckoned', 'house judgement'),
    days: c(21, 'days', 'and over so many days', 'house judgement'),
    rarely: c(0.3, 'times', 'drawn less than so much of what was reckoned', 'house judgement'),
    often: c(1.8, 'times', 'drawn more than so much of what was reckoned', 'house judgement'),
    precious: c(2, 'times', 'worth so many times the middle knife of the drawer', 'house judgement'),
  },
} as const;
