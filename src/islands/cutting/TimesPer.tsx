import { NativeSelect } from '@mantine/core';
import { BOUNDS } from '../../core/formats/kitchenBounds';
import type { DishFile } from '../../core/formats/kitchenFile';
import { PERIODS } from '../../core/formats/kitchenWords';
import { Figure } from '../shared/NumberField';

type Often = Pick<DishFile, 'times' | 'per'>;

/** How often something is done: so many times a day, week, month or year. */
export function TimesPer({
  often,
  label = 'Times',
  onChange,
}: {
  often: Often;
  label?: string;
  onChange: (change: Partial<Often>) => void;
}) {
  return (
    <>
      <Figure
        label={label}
        bounds={BOUNDS.times}
        step={0.5}
        value={often.times}
        onChange={(times) => onChange({ times })}
      />
      <NativeSelect
        label="per"
        value={often.per}
        data={[...PERIODS]}
        onChange={(e) => {
          const per = PERIODS.find((each) => each === e.currentTarget.value);
          if (per) onChange({ per });
        }}
      />
    </>
  );
}
