import { NativeSelect } from '@mantine/core';
import type { KnownTask } from '../../workers/stock';

/** A task picked from its groups; nothing is a choice too. */
export function TaskSelect({
  label,
  hideLabel = false,
  none,
  tasks,
  value,
  onChange,
}: {
  label: string;
  hideLabel?: boolean;
  none: string;
  tasks: KnownTask[];
  value: string;
  onChange: (id: string) => void;
}) {
  const groups = [...new Set(tasks.map((t) => t.group))];
  return (
    <NativeSelect
      {...(hideLabel ? { 'aria-label': label } : { label })}
      value={value}
      onChange={(e) => onChange(e.currentTarget.value)}
      data={[
        { value: '', label: none },
        ...groups.map((group) => ({
          group,
          items: tasks.filter((t) => t.group === group).map(({ id, name }) => ({ value: id, label: name })),
        })),
      ]}
    />
  );
}
