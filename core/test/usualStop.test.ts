import fc from 'fast-check';
import { ASSUMED_STOP, stageNear, usualStop } from '#core/pattern';

const stopped = (...veins: number[]) => veins.map((veinMm) => ({ veinMm, regretted: false }));
const veinOf = (...veins: number[]): number => ASSUMED_STOP * usualStop(stopped(...veins)).factor;

describe('where one usually stops', () => {
  test('nothing measured is what is assumed; what was regretted does not count', () => {
    expect(veinOf()).toBe(ASSUMED_STOP);
    expect(veinOf(0, 0)).toBe(ASSUMED_STOP);
    expect(usualStop([{ veinMm: 9, regretted: true }]).from).toBe(0);
  });
  test('eight stops lead to their middle, and one odd one hardly moves it', () => {
    const usual = veinOf(2.9, 3, 3.1, 3, 2.8, 3.2, 3, 3.1);
    expect(usual).toBeGreaterThan(2.8);
    expect(usual).toBeLessThan(3.1);
    expect(Math.abs(veinOf(2.9, 3, 3.1, 3, 2.8, 3.2, 3, 3.1, 30) - usual)).toBeLessThan(0.15);
  });
  test('the nearest stage, whatever their order, and none where all are far', () => {
    const veins = [12, 6.2, 3.1, 1.5, 0.8];
    expect(stageNear(veins, 3)).toBe(2);
    expect(stageNear(veins, 30)).toBe(-1);
    expect(stageNear([], 3)).toBe(-1);
    expect(stageNear([Infinity, 3], 3)).toBe(1);
    fc.assert(
      fc.property(fc.array(fc.double({ min: 0.1, max: 50, noNaN: true }), { minLength: 1 }), (all) => {
        const [first = 1] = all;
        const at = stageNear(all, first);
        expect(all[at]).toBe(first);
      }),
    );
  });
});
