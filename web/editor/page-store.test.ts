import { afterEach, beforeEach, expect, jest, test } from '@jest/globals';
import { createStore } from 'zustand/vanilla';
import { Addresses } from './addresses';
import { PageStore } from './page-store';

beforeEach(() => void jest.useFakeTimers());
afterEach(() => {
  jest.useRealTimers();
  Object.assign(globalThis, { requestAnimationFrame: undefined, document: undefined });
});

test('the page follows at once, waits after an edit, and catches up when it is asked to, or in any case soon', () => {
  const source = createStore(() => ({ count: 0 }));
  const page = new PageStore(source);
  const seen = (): number => page.store.getState().count;
  source.setState({ count: 1 });
  expect(seen()).toBe(1);
  page.wait();
  source.setState({ count: 2 });
  expect([seen(), page.isWaiting]).toEqual([1, true]);
  page.catchUp();
  expect([seen(), page.isWaiting]).toEqual([2, false]);
  page.wait();
  source.setState({ count: 3 });
  expect(seen()).toBe(2);
  jest.runAllTimers();
  expect(seen()).toBe(3);
});

test('what is pressed meets a page that has followed, drawn in one go; once that has ended, nothing is heard', () => {
  const source = createStore(() => ({ count: 0 }));
  const page = new PageStore(source);
  const target = new EventTarget();
  const heard: number[] = [];
  const end = page.beforeInput(target, (work) => {
    work();
    heard.push(page.store.getState().count);
  });
  const change = (count: number, kind: string): void => {
    page.wait();
    source.setState({ count });
    target.dispatchEvent(new Event(kind));
  };
  change(1, 'keydown');
  target.dispatchEvent(new Event('keydown'));
  change(2, 'pointermove');
  expect(heard).toEqual([1]);
  end();
  change(3, 'paste');
  expect([heard, page.isWaiting]).toEqual([[1], true]);
});

test('an address goes with the page: each place that one went to is a step, and the same place is none', () => {
  const source = createStore(() => ({ count: 0 }));
  const page = new PageStore(source);
  const visited = ['?at=0'];
  const addresses = new Addresses(page, { current: () => visited.at(-1)!, push: (address) => visited.push(address) });
  const go = (count: number): void => {
    page.wait();
    source.setState({ count });
    addresses.add(`?at=${count}`);
  };
  go(1);
  go(2);
  go(2);
  expect(visited).toEqual(['?at=0']);
  page.catchUp();
  expect(visited).toEqual(['?at=0', '?at=1', '?at=2']);
  source.setState({ count: 3 });
  expect(visited).toHaveLength(3);
});

test('in a window that is seen the page follows behind the frame that shows what was painted', () => {
  const frames: (() => void)[] = [];
  Object.assign(globalThis, { requestAnimationFrame: (work: () => void) => frames.push(work), document: { hidden: false } });
  const source = createStore(() => ({ count: 0 }));
  const page = new PageStore(source);
  page.wait();
  source.setState({ count: 1 });
  page.afterPaint();
  const steps = [(): void => frames.shift()!(), (): void => void jest.advanceTimersByTime(70), (): void => frames.shift()!()].map(
    (step) => {
      step();
      return page.store.getState().count;
    },
  );
  jest.advanceTimersByTime(1);
  expect([...steps, page.store.getState().count]).toEqual([0, 0, 0, 1]);
});
