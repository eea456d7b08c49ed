import { Chip } from '@mantine/core';
import { toolNames } from '../../../data/names';
import type { QuestionProps } from './useKitchen';

/** Tools that are there or not, one chip each. */
export function ToolChips({
  kitchen,
  update,
  tools,
  className,
}: QuestionProps & { tools: readonly string[]; className: string | undefined }) {
  const there = kitchen.tools ?? [];
  return (
    <div className={className}>
      {tools.map((id) => (
        <Chip
          key={id}
          size="sm"
          checked={there.includes(id)}
          onChange={(on) =>
            update((k) => ({ ...k, tools: on ? [...(k.tools ?? []), id] : (k.tools ?? []).filter((t) => t !== id) }))
          }
        >
          {toolNames.get(id)}
        </Chip>
      ))}
    </div>
  );
}
