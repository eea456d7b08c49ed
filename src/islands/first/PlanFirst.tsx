import { renderToStaticMarkup } from 'react-dom/server';
import type { KitchenFile } from '../../core/formats/kitchenFile';
import type { SentAnswer } from '../../core/kit/plan/answered';
import { inLanguage } from '../../core/money/currency';
import { CoverageBar } from '../kitchen/CoverageBar';
import { kitInWords } from '../kitchen/kitInWords';
import { Roll } from '../kitchen/Roll';
import { Dress } from '../shared/Dress';
import css from './KitchenFirst.module.css';
import { provisional } from '../shared/usePlanner';

interface Props {
  kitchen: KitchenFile;
  sent: SentAnswer;
  isPhone: boolean;
  /** BCP 47 tag. */
  language: string;
}

/** The plan of a kitchen as it can be read before anything runs in the browser: how good, in a sentence, and the roll. */
export function PlanFirst({ language, ...plan }: Props) {
  const html = inLanguage(language, () =>
    renderToStaticMarkup(
      <Dress>
        <Readable {...plan} />
      </Dress>,
    ),
  );
  // the page's policy allows no style in the text of a page: the script of the first look sets them
  const readable = html.replaceAll(' style="', ' data-style="');
  return <div className={css.plan} dangerouslySetInnerHTML={{ __html: readable }} />;
}

function Readable({ kitchen, sent, isPhone }: Omit<Props, 'language'>) {
  const { plan, owned, models } = sent;
  return (
    <>
      <CoverageBar plan={plan} budget={kitchen.budget?.total} answer={provisional(sent)} />
      <p>
        <b>{kitInWords(plan)}</b>
      </p>
      <Roll
        {...{ plan, owned, isPhone }}
        ownedFile={kitchen.owned ?? []}
        catalogue={new Map(models.map((model) => [model.id, model]))}
        inDoubt={null}
        open={null}
        onOpen={() => undefined}
      />
    </>
  );
}
