import { useState, type ReactNode } from 'react';

/** Takes files that are dropped on it. */
export function DropHere({
  className,
  onDrop,
  children,
}: {
  className: string | undefined;
  onDrop: (files: File[]) => void;
  children: ReactNode;
}) {
  const [over, setOver] = useState(false);
  return (
    <div
      data-over={over || undefined}
      className={className}
      onDragOver={(e) => {
        e.preventDefault();
        setOver(true);
      }}
      onDragLeave={() => setOver(false)}
      onDrop={(e) => {
        e.preventDefault();
        setOver(false);
        onDrop([...e.dataTransfer.files]);
      }}
    >
      {children}
    </div>
  );
}
