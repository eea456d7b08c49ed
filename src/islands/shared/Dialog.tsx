import { useEffect, useId, useRef, type ReactNode } from 'react';
import css from './Dialog.module.css';

interface Props {
  open: boolean;
  title: string;
  /** Told when it is closed, by Escape as well. */
  onClose: () => void;
  children: ReactNode;
}

/** Something in front of the page, with the browser's own dialog: it holds the focus and closes with Escape. */
export function Dialog({ open, title, onClose, children }: Props) {
  const dialog = useRef<HTMLDialogElement>(null);
  const name = useId();
  useEffect(() => {
    if (open) dialog.current?.showModal();
    else dialog.current?.close();
  }, [open]);
  return (
    <dialog ref={dialog} className={css.dialog} aria-labelledby={name} onClose={onClose}>
      <h2 id={name}>{title}</h2>
      {children}
    </dialog>
  );
}
