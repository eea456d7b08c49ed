import { SegmentedControl } from '@mantine/core';
import type { Paper } from '../../core/formats/paper';

/** Where letters are written on the other paper. */
export const usualPaper = (): Paper => (/-(US|CA|MX|PH|CL|CO)$/.test(navigator.language) ? 'letter' : 'a4');

export function PaperSize({ paper, onChange }: { paper: Paper; onChange: (paper: Paper) => void }) {
  return (
    <SegmentedControl
      aria-label="Size of the paper"
      value={paper}
      data={[
        { value: 'a4', label: 'A4' },
        { value: 'letter', label: 'Letter' },
      ]}
      onChange={(value) => onChange(value === 'letter' ? 'letter' : 'a4')}
    />
  );
}
