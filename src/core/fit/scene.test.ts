import fc from 'fast-check';
import { describe, expect, test } from 'vitest';
import { reference } from '../../../data/reference';
import { bestContact } from '../blade/contact';
import { edgeHeightMm } from '../blade/edgeCurve';
import { thicknessAtDepthMm } from '../blade/thickness';
import { anyTask, oddBlade } from '../testing/arbitrary';
import { cookOf, modelNamed, taskNamed, traitsOf } from '../testing/trade';
import { explain } from './explain';
import { prepareTask } from './score';
import { type CutScene, cutScene, placedAt, sceneWords } from './scene';
import { bladeTraits } from './traits';

const chops = cookOf({ cooks: [{ motions: { chop: 1 } }] });
const rocks = cookOf({ cooks: [{ motions: { rock: 1 } }] });
const sceneOf = (...args: Parameters<typeof cutScene>): CutScene => {
  const scene = cutScene(...args);
  if (!scene) throw new Error('no cut');
  return scene;
};
const seen = (model: string, task: string, cook = cookOf()) => sceneOf(traitsOf(model), taskNamed(task), cook);

describe('the cut seen', () => {
  test('a chop lands on the very stretch of edge that the score counts', () => {
    const { poses, touching, move } = seen('ploverdale-chef-200', 'onion-dice', chops);
    const contact = bestContact(modelNamed('ploverdale-chef-200'));
    expect(move).toBe('chop');
    expect(poses.at(-1)?.turn).toBeCloseTo(contact.tiltRad, 9);
    const [from, to] = touching.at(-1) ?? [0, 0];
    expect(Math.abs(from - contact.fromMm)).toBeLessThan(6);
    expect(Math.abs(to - contact.toMm)).toBeLessThan(6);
    expect(touching[0]).toBeNull();
  });

  test('a flat edge leaves less hanging than a bellied one', () => {
    const hanging = (bellyMm: number, flatShare: number) =>
      sceneOf(
        traitsOf('ploverdale-chef-200', { bellyMm, flatShare }),
        { ...taskNamed('scallion-slice'), widthMm: 120 },
        chops,
      ).hanging;
    expect(hanging(2, 0.9)).toBeLessThan(hanging(30, 0.2));
    expect(hanging(0, 1)).toBe(0);
  });

  test('a rock keeps the edge on the board while it rolls from tip to heel', () => {
    const blade = modelNamed('ploverdale-chef-200');
    const { move, poses } = seen('ploverdale-chef-200', 'herb-mince', rocks);
    expect(move).toBe('rock');
    const lowest = poses.map((pose) =>
      Math.min(
        ...Array.from({ length: 41 }, (_, i) => {
          const x = (blade.lengthMm * i) / 40;
          return placedAt(pose, { x, y: edgeHeightMm(blade, x) }).y;
        }),
      ),
    );
    for (const low of lowest) expect(Math.abs(low)).toBeLessThan(0.6);
    expect(poses[0]?.turn).toBeGreaterThan(0.1);
    expect(poses.at(-1)?.turn).toBeCloseTo(0, 6);
  });

  test('strokes, slit, crack and drift are those of the score', () => {
    const short = seen('oskavel-petty-120', 'roast-carve');
    expect(short.strokes).toBeGreaterThan(seen('oskavel-sujihiki-240', 'roast-carve').strokes);
    const thick = traitsOf('ploverdale-chef-200', { spineHeelMm: 5, spineMidMm: 5 });
    const { slit, crackMm } = sceneOf(thick, taskNamed('swede-block'), cookOf());
    for (const { y, half } of slit) expect(2 * half).toBeCloseTo(thicknessAtDepthMm(thick.blade, y), 9);
    expect(crackMm).toBeGreaterThan(seen('oskavel-gyuto-210', 'swede-block').crackMm);
    expect(seen('ploverdale-chef-200', 'carrot-slice').driftMm).toBe(0);
    const trained = cookOf({ cooks: [{ experience: 'trained' }] });
    expect(seen('quillback-paring-80', 'floret-pull').move).toBe('hand');
    expect(seen('tidewrack-usuba-195', 'swede-block', trained).driftMm).toBeGreaterThan(1);
  });

  test('it is told in words with the sentences of the score', () => {
    const scene = seen('ploverdale-chef-200', 'onion-dice', chops);
    const words = sceneWords(scene);
    expect(words[0]).toMatch(/straight down: food \d+ mm across/);
    for (const { id, why } of scene.explanation.parts)
      if (id === 'contact' || id === 'clearance') expect(words).toContain(why);
  });

  test('for any blade, task and hand: no edge goes through the board, a cut only deepens, and a refused task has no picture', () => {
    const cook = cookOf();
    fc.assert(
      fc.property(oddBlade, anyTask, (blade, task) => {
        const traits = bladeTraits(blade, reference);
        const scene = cutScene(traits, task, cook);
        expect(scene === null).toBe(explain(traits, prepareTask(task), [cook]).veto !== null);
        if (!scene) return;
        const edge = Array.from({ length: 81 }, (_, i) => {
          const x = (blade.lengthMm * i) / 80;
          return { x, y: edgeHeightMm(blade, x) };
        });
        for (const pose of scene.poses) {
          expect(Number.isFinite(pose.x + pose.y + pose.turn)).toBe(true);
        }
        const lowest = scene.poses.map((pose) => Math.min(...edge.map((point) => placedAt(pose, point).y)));
        if (scene.move !== 'hand' && scene.move !== 'tip') expect(Math.min(...lowest)).toBeGreaterThan(-0.01);
        scene.reached.forEach((now, i) => {
          const before = scene.reached[i - 1];
          expect(before?.every((height, p) => (now[p] ?? 0) <= height + 1e-5) ?? true).toBe(true);
        });
        expect(scene.hanging).toBeGreaterThanOrEqual(0);
        expect(scene.hanging).toBeLessThanOrEqual(1);
      }),
      { numRuns: 60 },
    );
  });
});
