/** @jest-environment ./web/test/page.mjs */
import { BenchSteps, type BenchWords } from '../src/parts/BenchSteps.js';
import { expectWhole, shown, type Shown } from './screen.js';

const STEPS: readonly BenchWords[] = [
  { title: 'Begin', line: 'log of Chalk, 20 mm across.', figure: '60 mm', of: 'long' },
  { title: 'Pass it', line: 'Through the widest setting.', about: 3, enough: 'Enough passes' },
  { title: 'Slice', line: '40 slices.', caution: 'Mark the blunt edge of a long blade.' },
];

interface Hands extends Shown {
  readonly title: () => string;
  /** what was counted, when it comes to the end */
  readonly finished: readonly (readonly number[])[];
}

let thing = 0;
function atBench(what = `cane ${++thing}`): Hands {
  const finished: (readonly number[])[] = [];
  const page = shown(
    <BenchSteps
      what={what}
      steps={STEPS}
      foot={<a href="/canes/1">the plan</a>}
      finish={(counts, back, leave) => {
        finished.push(counts);
        return (
          <>
            <h1>Done?</h1>
            <button onClick={back}>back to the last</button>
            <button onClick={leave}>written down</button>
          </>
        );
      }}
    />,
  );
  return { ...page, finished, title: () => page.getByRole('heading').textContent ?? '' };
}

describe('steps at the bench', () => {
  test('are shown one at a time, in words and with one large figure', () => {
    const page = atBench();
    expect(page.title()).toBe('Begin');
    expect(page.words()).toContain('60 mm');
    expect(page.words()).toContain('Next: Pass it');
    expectWhole(page);
  });

  test('go on by tapping, and back again', async () => {
    const page = atBench();
    expect((page.getByRole('button', { name: 'One back' }) as HTMLButtonElement).disabled).toBe(true);
    await page.user.click(page.getByRole('button', { name: /tap here/ }));
    expect(page.title()).toBe('Pass it');
    await page.user.click(page.getByRole('button', { name: 'One back' }));
    expect(page.title()).toBe('Begin');
    await page.user.click(page.getByRole('button', { name: 'Next' }));
    expect(page.title()).toBe('Pass it');
  });

  test('are counted where passes are counted: taps count, one back takes one away, enough goes on', async () => {
    const page = atBench();
    await page.user.click(page.getByRole('button', { name: 'Next' }));
    const enough = page.getByRole('button', { name: 'Enough passes' }) as HTMLButtonElement;
    expect(enough.disabled).toBe(true);
    const count = (): string => page.container.querySelector('[data-passes]')?.textContent ?? '';
    for (const wanted of ['1', '2', '3', '4']) {
      await page.user.click(page.getByRole('button', { name: /at each pass/ }));
      expect(count()).toBe(wanted);
    }
    await page.user.click(page.getByRole('button', { name: 'One back' }));
    expect(count()).toBe('3');
    expect(page.words()).toContain('of about 3 passes');
    await page.user.click(page.getByRole('button', { name: 'Enough passes' }));
    expect(page.title()).toBe('Slice');
  });

  test('say what to mind, and end with what was counted', async () => {
    const page = atBench();
    await page.user.click(page.getByRole('button', { name: 'Next' }));
    for (let i = 0; i < 2; i++) await page.user.click(page.getByRole('button', { name: /at each pass/ }));
    await page.user.click(page.getByRole('button', { name: 'Enough passes' }));
    expect(page.getByRole('status').textContent).toBe('Mark the blunt edge of a long blade.');
    expect(page.words()).toContain('Next: write it down');
    await page.user.click(page.getByRole('button', { name: 'Next' }));
    expect(page.title()).toBe('Done?');
    expect(page.finished.at(-1)?.[1]).toBe(2);
    await page.user.click(page.getByRole('button', { name: 'back to the last' }));
    expect(page.title()).toBe('Slice');
  });

  test('are found where they were left, until it is written down', async () => {
    const what = `cane ${++thing}`;
    const page = atBench(what);
    await page.user.click(page.getByRole('button', { name: 'Next' }));
    await page.user.click(page.getByRole('button', { name: /at each pass/ }));
    page.unmount();
    const again = atBench(what);
    expect(again.title()).toBe('Pass it');
    expect(again.container.querySelector('[data-passes]')?.textContent).toBe('1');
    await again.user.click(again.getByRole('button', { name: 'Enough passes' }));
    await again.user.click(again.getByRole('button', { name: 'Next' }));
    await again.user.click(again.getByRole('button', { name: 'written down' }));
    again.unmount();
    expect(atBench(what).title()).toBe('Begin');
  });

  test('of one thing do not move those of another', async () => {
    const [one, other] = [`cane ${++thing}`, `cane ${++thing}`];
    const page = atBench(one);
    await page.user.click(page.getByRole('button', { name: 'Next' }));
    page.unmount();
    expect(atBench(other).title()).toBe('Begin');
  });
});
