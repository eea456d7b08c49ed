import { CARD_MM } from '../../core/measure/rectify';
import { Button, Slider } from '@mantine/core';
import { useState } from 'react';
import css from './Calibrate.module.css';

/** The outline of a bank card made as large as the card: it tells how many pixels this screen has in a millimetre. */
export function Calibrate({ start, onDone }: { start: number; onDone: (pxPerMm: number) => void }) {
  const [pxPerMm, setPxPerMm] = useState(start);
  const { width, height } = CARD_MM;
  // a narrow screen shows half a card
  const share = pxPerMm * width > Math.min(innerWidth - 60, 640) ? 0.5 : 1;
  return (
    <div className={css.panel}>
      <p>
        Hold any bank card flat against the screen and move the slider until the outline is as large as{' '}
        {share === 1 ? 'the card' : 'its left half'}. Once is enough on this device.
      </p>
      <svg
        width={width * pxPerMm * share + 4}
        height={height * pxPerMm + 4}
        role="img"
        aria-label="Outline of a bank card"
        className={css.card}
      >
        <rect x={2} y={2} width={width * pxPerMm} height={height * pxPerMm} rx={3.2 * pxPerMm} />
      </svg>
      <Slider
        thumbLabel="Size of the card’s outline"
        min={2}
        max={9}
        step={0.01}
        label={null}
        value={pxPerMm}
        onChange={setPxPerMm}
      />
      <Button onClick={() => onDone(pxPerMm)}>It fits</Button>
    </div>
  );
}
