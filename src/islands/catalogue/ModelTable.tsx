import { Button } from '@mantine/core';
import { useMemo } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import { UNKNOWN_MAKER } from '../../core/blade/words';
import { assumedFigures } from '../../core/formats/figures';
import { fromMinor } from '../../core/money/currency';
import { placed } from '../shared/KnifeDrawing';
import { Shapes } from '../shared/Shapes';
import { useLengths } from '../shared/units';
import { money, typeName } from '../shared/words';
import css from './CatalogueView.module.css';

/** Longest knife drawn at the common scale, mm; a longer one is made to fit. */
const DRAWN_MM = 420;

interface Props {
  models: readonly BladeModel[];
  note: (model: BladeModel) => string;
  removable?: ReadonlySet<string>;
  onRemove?: (id: string) => void;
}

/** Models in rows, all drawn at one scale: kind, length, price, what there is to say of each, and which figures are estimates. */
export function ModelTable({ models, ...of }: Props) {
  if (models.length === 0) return null;
  return (
    <div className={css.scroll} role="region" aria-label="Knives" tabIndex={0}>
      <table>
        <thead>
          <tr>
            <Head hidden>Drawing</Head>
            <Head>Knife</Head>
            <Head>Kind</Head>
            <Head className={css.number}>Length</Head>
            <Head className={css.number}>Price</Head>
            <Head>From</Head>
            {of.onRemove && <Head hidden>Remove</Head>}
          </tr>
        </thead>
        <tbody>
          {models.map((model) => (
            <Row key={model.id} model={model} {...of} />
          ))}
        </tbody>
      </table>
    </div>
  );
}

const Head = ({
  hidden,
  className,
  children,
}: {
  hidden?: boolean;
  className?: string | undefined;
  children: string;
}) => (
  <th scope="col" className={className}>
    {hidden ? <span className="visually-hidden">{children}</span> : children}
  </th>
);

function Row({ model, note, removable, onRemove }: Omit<Props, 'models'> & { model: BladeModel }) {
  const { length } = useLengths();
  const { id, name, maker, type, lengthMm, priceMinor, currency } = model;
  const estimated = assumedFigures(model);
  return (
    <tr>
      <td className={css.drawn}>
        <Lying blade={model} />
      </td>
      <th scope="row">
        {name}
        {maker !== UNKNOWN_MAKER && <small className="faded">{maker}</small>}
      </th>
      <td>{typeName(type)}</td>
      <td className={`figure ${css.number ?? ''}`}>{length(lengthMm)}</td>
      <td className={`figure ${css.number ?? ''}`}>{money(fromMinor(priceMinor, currency), currency)}</td>
      <td className="faded">
        {note(model)}
        {estimated.length > 0 && <small>estimated: {estimated.join(', ')}</small>}
      </td>
      {onRemove && (
        <td>
          {removable?.has(id) && (
            <Button size="compact-sm" variant="default" aria-label={`Remove ${name}`} onClick={() => onRemove(id)}>
              Remove
            </Button>
          )}
        </td>
      )}
    </tr>
  );
}

function Lying({ blade }: { blade: BladeModel }) {
  const { drawing, place, width, height } = useMemo(() => placed(blade, false), [blade]);
  return (
    <svg
      viewBox={`-2 -2 ${Math.max(DRAWN_MM, width) + 4} ${height + 4}`}
      preserveAspectRatio="xMinYMid"
      aria-hidden="true"
    >
      <Shapes drawing={drawing} place={place} line={1.6} />
    </svg>
  );
}
