import { expect, jest, test } from '@jest/globals';
import { Keyboard } from './keyboard';

/** What has the focus, as the page would say it. */
class FocusedButton {
  focus(): void {
    Object.assign(document, { activeElement: this });
  }
}

test('what was due before the keyboard was taken does not take it back, however late it comes', () => {
  jest.useFakeTimers();
  Object.assign(globalThis, { HTMLButtonElement: FocusedButton, document: { body: {} } });
  const [button, canvas] = [new FocusedButton(), { focus: () => Object.assign(document, { activeElement: canvas }) }];
  const keyboard = new Keyboard(canvas as unknown as HTMLElement);
  button.focus();
  keyboard.take();
  expect(document.activeElement).toBe(canvas);
  keyboard.soon(() => keyboard.giveBack());
  jest.runAllTimers();
  expect(document.activeElement).toBe(button);

  keyboard.soon(() => keyboard.giveBack());
  keyboard.take();
  jest.runAllTimers();
  expect(document.activeElement).toBe(canvas);
});
