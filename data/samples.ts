/** The sample kitchens, in the order they are offered; each has a file of its name under `kitchens/`. */
export const samples = [
  {
    id: 'millrace-flat',
    about: 'One light-handed cook, a small board, nine mostly vegetable meals a week and €140.',
  },
  {
    id: 'alder-lane-school',
    about: 'Beginners two at a time, right- and left-handed, hard on knives, with a dishwasher and €260.',
  },
  {
    id: 'saltstair-supper-house',
    about: 'A trained cook with large hands who breaks whole fish for eight, sharpens on stones and has €650.',
  },
  {
    id: 'heronsgate-household',
    about:
      'Two cooks, one left-handed, who sharpen on stones: with a diary, a trial, a block, a drawer and a travel roll.',
  },
];
