import { Button } from '@mantine/core';
import { useRef } from 'react';

/** Opens the system's choice of files, or of a folder. */
export function FilesButton({
  label,
  folder = false,
  onPick,
}: {
  label: string;
  folder?: boolean;
  onPick: (files: readonly File[]) => Promise<void>;
}) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button variant="default" onClick={() => input.current?.click()}>
        {label}
      </Button>
      <input
        ref={(element) => {
          input.current = element;
          if (folder) element?.setAttribute('webkitdirectory', '');
        }}
        type="file"
        multiple
        className="visually-hidden"
        tabIndex={-1}
        aria-label={`${label} of recipes`}
        onChange={(e) => {
          const files = [...(e.currentTarget.files ?? [])];
          e.currentTarget.value = '';
          void onPick(files);
        }}
      />
    </>
  );
}
