import { useCallback } from 'react';
import { toolNames } from '../../../data/names';
import { ToggleChip } from './ToggleChip';
import type { QuestionProps } from './useKitchen';

/** Tools that are there or not, one chip each. */
export function ToolChips({
  kitchen,
  update,
  tools,
  className,
}: QuestionProps & { tools: readonly string[]; className: string | undefined }) {
  const toggle = useCallback(
    (id: string, on: boolean) =>
      update((k) => ({ ...k, tools: on ? [...(k.tools ?? []), id] : (k.tools ?? []).filter((t) => t !== id) })),
    [update],
  );
  return (
    <div className={className}>
      {tools.map((id) => (
        <ToggleChip
          key={id}
          value={id}
          name={toolNames.get(id) ?? id}
          on={kitchen.tools?.includes(id) ?? false}
          onToggle={toggle}
        />
      ))}
    </div>
  );
}
