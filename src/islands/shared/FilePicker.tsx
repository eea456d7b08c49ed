import { Button, type ButtonProps } from '@mantine/core';
import { useRef, type ReactNode } from 'react';

interface Props extends Pick<ButtonProps, 'size'> {
  /** Name of the field for those who do not see the button. */
  name: string;
  /** What may be picked; a JSON file where nothing is said. */
  accept?: string;
  onPick: (file: File) => void;
  children: ReactNode;
}

/** A button that asks for a file; the same one may be picked again. */
export function FilePicker({ name, accept = '.json,application/json', onPick, size, children }: Props) {
  const input = useRef<HTMLInputElement>(null);
  return (
    <>
      <Button {...(size ? { size } : {})} variant="default" onClick={() => input.current?.click()}>
        {children}
      </Button>
      <input
        ref={input}
        type="file"
        accept={accept}
        className="visually-hidden"
        tabIndex={-1}
        aria-label={name}
        onChange={(e) => {
          const file = e.currentTarget.files?.[0];
          if (file) onPick(file);
          e.currentTarget.value = '';
        }}
      />
    </>
  );
}
