import fc from 'fast-check';
import { expect, test } from 'vitest';
import { shippedModels } from '../../../data/models';
import { reference } from '../../../data/reference';
import { firstPlan } from '../kit/plan/planKitchen';
import { preparePlanning } from '../kit/context/planningContext';
import { readDrawer } from '../kit/drawer/drawer';
import { anyTask, oddBlade, wildKitchen } from '../testing/arbitrary';
import { cooksOf } from '../testing/trade';
import { explain } from './explain';
import { bladeNotes } from './notes';
import { prepareTask } from './score';
import { bladeTraits } from './traits';

/** What no sentence may say: a figure that is none or is told to more than hundredths, what belongs to the program, a gap. */
const ODD = /\b(?:NaN|undefined|null|Infinity)\b|\[object|\d\.\d{3,}| {2}|(?<!\.)\.\.(?!\.)| [,.;]|^[a-z ]*$/;

test('every part of a score is told in a sentence, for blades of any build', () => {
  const cooks = cooksOf();
  fc.assert(
    fc.property(oddBlade, anyTask, (blade, task) => {
      const traits = bladeTraits(blade, reference);
      const { parts, how, veto } = explain(traits, prepareTask(task), cooks, null);
      for (const said of [...parts.map(({ why }) => why), ...(veto === null ? [] : [veto])]) {
        expect(said).not.toMatch(ODD);
        expect(said).toMatch(/[.!?]$/);
      }
      expect(how).not.toMatch(/NaN|undefined/);
    }),
    { numRuns: 300 },
  );
});

/** Figures somebody measured, to more than anyone can. */
const measured = fc.record({
  lengthMm: fc.double({ min: 60, max: 330, noNaN: true }),
  heelHeightMm: fc.double({ min: 16, max: 90, noNaN: true }),
  weightG: fc.double({ min: 40, max: 700, noNaN: true }),
  spineMm: fc.double({ min: 1.2, max: 6, noNaN: true }),
});

test('nor do plans and drawers say odd things of knives measured to many decimals', () => {
  fc.assert(
    fc.property(wildKitchen, fc.array(measured, { minLength: 1, maxLength: 3 }), (file, figures) => {
      const kinds = ['chef', 'gyuto', 'bread'];
      const owned = figures.map((own, i) => ({ type: kinds[i], condition: 'dull' as const, ...own }));
      const context = preparePlanning({ ...file, owned }, reference, shippedModels);
      const { plan } = firstPlan(context);
      const drawer = readDrawer(context);
      const said = [
        ...plan.steps.flatMap(({ because }) => because),
        ...plan.warnings,
        ...plan.assumed,
        ...plan.lengthWanted.why,
        ...plan.unserved.map(({ why }) => why),
        ...(plan.copies ?? []).map(({ why }) => why),
        ...drawer.knives.map(({ why }) => why),
        ...context.owned.flatMap(({ blade }) => bladeNotes(blade, context.kitchen)),
      ];
      expect(said.length).toBeGreaterThan(0);
      for (const sentence of said) expect(sentence).not.toMatch(ODD);
    }),
    { numRuns: 25 },
  );
});
