import { useCallback, useEffect, useState } from 'react';

/** How long a stroke is played, seconds. */
const SECONDS = 2.6;

/** A stroke from 0 to 1: at rest at its end, played frame by frame when asked, or moved by hand. Nothing moves by itself. */
export function usePlayer() {
  const [at, setAt] = useState(1);
  const [playing, setPlaying] = useState(false);
  useEffect(() => {
    if (!playing) return;
    let frame = 0;
    let last: number | null = null;
    const tick = (now: number) => {
      const passed = last === null ? 0 : (now - last) / 1000 / SECONDS;
      last = now;
      setAt((was) => Math.min(1, was + passed));
      frame = requestAnimationFrame(tick);
    };
    frame = requestAnimationFrame(tick);
    return () => cancelAnimationFrame(frame);
  }, [playing]);
  const over = playing && at >= 1;
  useEffect(() => {
    if (!over) return;
    const rest = setTimeout(() => setPlaying(false), 0);
    return () => clearTimeout(rest);
  }, [over]);
  const turn = useCallback(() => {
    setAt((was) => (was >= 1 ? 0 : was));
    setPlaying((was) => !was);
  }, []);
  const move = useCallback((to: number) => {
    setPlaying(false);
    setAt(to);
  }, []);
  return { at, playing, turn, move };
}
