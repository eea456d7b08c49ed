import { Button } from '@mantine/core';
import { useRef, type ReactNode } from 'react';
import { colour } from './charts';
import { download, fileName } from './download';

/** A picture of a canvas on the colour of the page, as a PNG. */
function pictureOf(canvas: HTMLCanvasElement): Promise<Blob | null> {
  const copy = document.createElement('canvas');
  copy.width = canvas.width;
  copy.height = canvas.height;
  const pen = copy.getContext('2d');
  if (!pen) return Promise.resolve(null);
  pen.fillStyle = colour('--paper');
  pen.fillRect(0, 0, copy.width, copy.height);
  pen.drawImage(canvas, 0, 0);
  return new Promise((resolve) => copy.toBlob(resolve, 'image/png'));
}

/** A chart in its box, with a way to keep it as a picture. */
export function Charted({ name, className, children }: { name: string; className?: string; children: ReactNode }) {
  const box = useRef<HTMLDivElement>(null);
  const save = async () => {
    const canvas = box.current?.querySelector('canvas');
    const picture = canvas && (await pictureOf(canvas));
    if (picture) download(fileName(name, '.png'), picture);
  };
  return (
    <div>
      <div ref={box} className={className}>
        {children}
      </div>
      <Button size="compact-xs" variant="default" aria-label={`As PNG: ${name}`} onClick={() => void save()}>
        As PNG
      </Button>
    </div>
  );
}
