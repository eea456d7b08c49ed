import { Chip } from '@mantine/core';
import { memo } from 'react';

/** One of many answers, on or off; drawn anew only where its own answer changes. */
export const ToggleChip = memo(function ToggleChip({
  value,
  name,
  on,
  onToggle,
}: {
  value: string;
  name: string;
  on: boolean;
  onToggle: (value: string, on: boolean) => void;
}) {
  return (
    <Chip size="sm" checked={on} onChange={(checked) => onToggle(value, checked)}>
      {name}
    </Chip>
  );
});
