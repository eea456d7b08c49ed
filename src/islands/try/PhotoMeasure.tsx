import { Button } from '@mantine/core';
import type { Remote } from 'comlink';
import { useState } from 'react';
import type { BladeModel } from '../../core/blade/schema';
import type { ExamplePhoto } from '../../core/measure/examplePhoto';
import type { Spot } from '../../core/measure/rectify';
import type { KitchenWorker } from '../../workers/kitchen.worker';
import { FilePicker } from '../shared/FilePicker';
import { useTrying } from '../shared/useTrying';
import { Working } from '../shared/Working';
import css from './MeasureView.module.css';
import { OnPhoto } from './OnPhoto';
import { beginOn, type Kept, type Photo, photoOf, pixelsOf } from './photo';

interface Props {
  worker: Remote<KitchenWorker>;
  blade: BladeModel;
  onUse: (kept: Kept) => void;
}

interface Pointed {
  photo: Photo;
  points: readonly Spot[];
  used: boolean;
}

/** A photo of a knife beside a bank card, measured in the browser: nothing is sent anywhere. */
export default function PhotoMeasure({ worker, blade, onUse }: Props) {
  const [pointed, setPointed] = useState<Pointed | null>(null);
  const { trouble, working, trying: read } = useTrying('The photo could not be read.');
  const take = (pixels: ImageData, points = beginOn(pixels)) =>
    setPointed({ photo: photoOf(pixels), points, used: false });
  return (
    <section aria-labelledby="photo" className={css.part}>
      <h2 id="photo">From a photo beside a bank card</h2>
      <p>
        Lay the knife flat on a plain surface, a bank card beside its edge, and photograph both from above. The photo
        stays on this device. Cover the card’s number.
      </p>
      <div className={css.row}>
        <FilePicker
          name="Photo of the knife beside a bank card"
          accept="image/*"
          onPick={(file) => void read(async () => take(await pixelsOf(file)))}
        >
          Choose a photo
        </FilePicker>
        {[0, 1, 2].map((which) => (
          <Button
            key={which}
            variant="default"
            onClick={() =>
              void read(async () => {
                const example = await worker.example(blade, which);
                take(new ImageData(example.data, example.width, example.height), nearly(example));
              })
            }
          >
            Example {which + 1}
          </Button>
        ))}
      </div>
      {trouble && <p role="alert">{trouble}</p>}
      {working && <Working>Reading the photo</Working>}
      {pointed && (
        <OnPhoto
          {...pointed}
          onMove={(points) => setPointed({ ...pointed, points, used: false })}
          onUse={(kept) => {
            onUse(kept);
            setPointed({ ...pointed, used: true });
          }}
        />
      )}
    </section>
  );
}

/** Where a hand points on an example: near, not exactly. */
const nearly = ({ corners, heel, tip, spineAtHeel }: ExamplePhoto): Spot[] =>
  [...corners, heel, tip, spineAtHeel].map(({ x, y }, i) => ({
    x: x + 3 * Math.cos(2 * i),
    y: y + 3 * Math.sin(2 * i),
  }));
