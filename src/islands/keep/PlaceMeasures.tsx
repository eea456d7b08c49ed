import { Button, NativeSelect } from '@mantine/core';
import { BOUNDS, MOST } from '../../core/formats/kitchenBounds';
import type { StoragePlace } from '../../core/formats/storageFile';
import { Figure, LengthFigure } from '../shared/NumberField';
import css from './KeepView.module.css';

interface Props<K extends StoragePlace['kind']> {
  place: StoragePlace & { kind: K };
  onChange: (place: StoragePlace & { kind: K }) => void;
}

/** The measurements of a place: what was measured with a ruler. */
export function PlaceMeasures({ place, onChange }: Props<StoragePlace['kind']>) {
  switch (place.kind) {
    case 'block':
      return (
        <Pieces
          name="Slot"
          pieces={place.slots}
          usual={{ lengthMm: 200, heightMm: 45, thicknessMm: 3.5 }}
          figures={[
            ['lengthMm', 'deep', BOUNDS.placeMm],
            ['heightMm', 'high', BOUNDS.slotHeightMm],
            ['thicknessMm', 'wide', BOUNDS.slotThicknessMm],
          ]}
          onChange={(slots) => onChange({ ...place, slots })}
        />
      );
    case 'roll':
      return (
        <Pieces
          name="Pocket"
          pieces={place.pockets}
          usual={{ lengthMm: 430, widthMm: 65 }}
          figures={[
            ['lengthMm', 'long', BOUNDS.placeMm],
            ['widthMm', 'wide', BOUNDS.slotHeightMm],
          ]}
          onChange={(pockets) => onChange({ ...place, pockets })}
        />
      );
    case 'strip':
      return <Strip place={place} onChange={onChange} />;
    case 'tray':
      return <Tray place={place} onChange={onChange} />;
    case 'drawer':
      return <Drawer place={place} onChange={onChange} />;
  }
}

function Strip({ place, onChange }: Props<'strip'>) {
  return (
    <div className={css.figures}>
      <LengthFigure
        label="Length"
        value={place.lengthMm}
        bounds={BOUNDS.placeMm}
        onChange={(lengthMm) => onChange({ ...place, lengthMm })}
      />
      <LengthFigure
        label="Room below it"
        value={place.belowMm}
        bounds={BOUNDS.belowStripMm}
        onChange={(belowMm) => onChange({ ...place, belowMm })}
      />
    </div>
  );
}

function Tray({ place, onChange }: Props<'tray'>) {
  return (
    <div className={css.figures}>
      <Inside place={place} onChange={(next) => onChange({ ...place, ...next })} />
      <NativeSelect
        label="Knives"
        value={place.slats === null ? 'flat' : 'stand'}
        data={[
          { value: 'flat', label: 'lie flat' },
          { value: 'stand', label: 'stand between slats' },
        ]}
        onChange={(e) => onChange({ ...place, slats: e.currentTarget.value === 'flat' ? null : 6 })}
      />
      {place.slats !== null && (
        <Figure
          label="Rows"
          value={place.slats}
          bounds={[1, MOST.slots]}
          onChange={(slats) => onChange({ ...place, slats })}
        />
      )}
    </div>
  );
}

function Drawer({ place, onChange }: Props<'drawer'>) {
  return (
    <>
      <div className={css.figures}>
        <Inside place={place} onChange={(next) => onChange({ ...place, ...next })} />
      </div>
      <Pieces
        name="Guard"
        least={0}
        pieces={place.guards}
        usual={{ lengthMm: 240, heightMm: 55 }}
        figures={[
          ['lengthMm', 'long', BOUNDS.placeMm],
          ['heightMm', 'high', BOUNDS.slotHeightMm],
        ]}
        onChange={(guards) => onChange({ ...place, guards })}
      />
    </>
  );
}

const INSIDE = [
  ['lengthMm', 'long', BOUNDS.placeMm],
  ['widthMm', 'wide', BOUNDS.placeMm],
  ['heightMm', 'high', BOUNDS.insideHeightMm],
] as const;
type Within = Record<(typeof INSIDE)[number][0], number>;

function Inside({ place, onChange }: { place: Within; onChange: (inside: Partial<Within>) => void }) {
  return INSIDE.map(([key, label, bounds]) => (
    <LengthFigure
      key={key}
      label={`Inside, ${label}`}
      value={place[key]}
      bounds={bounds}
      onChange={(mm) => onChange({ [key]: mm })}
    />
  ));
}

/** Slots, pockets or guards, each with its figures; another is added like the last. */
function Pieces<K extends string>({
  name,
  pieces,
  usual,
  figures,
  least = 1,
  onChange,
}: {
  name: string;
  pieces: readonly Record<K, number>[];
  /** The first one. */
  usual: Record<K, number>;
  figures: readonly (readonly [K, string, readonly [number, number]])[];
  least?: number;
  onChange: (pieces: Record<K, number>[]) => void;
}) {
  return (
    <div className={css.pieces}>
      {pieces.map((piece, i) => (
        <div key={i} className={css.figures} role="group" aria-label={`${name} ${i + 1}`}>
          <b>
            {name} {i + 1}
          </b>
          {figures.map(([key, label, bounds]) => (
            <LengthFigure
              key={key}
              label={label}
              value={piece[key]}
              bounds={bounds}
              step={key === 'thicknessMm' ? 0.1 : 1}
              onChange={(mm) => onChange(pieces.map((each, at) => (at === i ? { ...each, [key]: mm } : each)))}
            />
          ))}
          <Button
            variant="default"
            size="compact-md"
            disabled={pieces.length <= least}
            aria-label={`Take out ${name.toLowerCase()} ${i + 1}`}
            onClick={() => onChange(pieces.filter((_, at) => at !== i))}
          >
            Take out
          </Button>
        </div>
      ))}
      <Button
        variant="default"
        disabled={pieces.length >= MOST.slots}
        onClick={() => onChange([...pieces, { ...(pieces.at(-1) ?? usual) }])}
      >
        One more {name.toLowerCase()}
      </Button>
    </div>
  );
}
