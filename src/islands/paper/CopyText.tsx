import { Button } from '@mantine/core';
import { useClipboard } from '@mantine/hooks';
import { IconCheck, IconCopy } from '@tabler/icons-react';

/** A button that puts a text on the clipboard, and says that it did. */
export function CopyText({ text, children }: { text: string; children: string }) {
  const { copy, copied, error } = useClipboard({ timeout: 3000 });
  const Sign = copied ? IconCheck : IconCopy;
  return (
    <Button variant="default" leftSection={<Sign size={16} aria-hidden="true" />} onClick={() => copy(text)}>
      {error ? 'Mark it and copy by hand' : copied ? 'Copied' : children}
    </Button>
  );
}
