import { Puppeteer, type CustomQueryHandler } from 'puppeteer-core';

/**
 * `::-p-named(Name)` or `::-p-named([name="Name"][role="textbox"])`: what a screen reader would call so. The browser's own tree of such
 * names, once it is asked for, is kept up with every change of the page and doubles the work of each; these are read off when they are
 * asked for (Accessible Name and Description Computation 1.2, as far as the application uses it; axe looks at the rest).
 */
const handler: CustomQueryHandler = {
  queryAll: (root, selector) => {
    const [, quoted, role] = /^\[name="(.*)"\]\[role="(\w+)"\]$/.exec(selector) ?? [];
    const wanted = (quoted ?? selector).trim();
    const tidy = (text: string | null | undefined): string => (text ?? '').replace(/\s+/g, ' ').trim();
    const textOf = (element: Element): string => {
      let text = '';
      for (const child of Array.from(element.childNodes)) {
        if (child.nodeType === 3) text += child.nodeValue;
        else if (child instanceof Element && child.getAttribute('aria-hidden') !== 'true')
          text += child.getAttribute('aria-label') ?? textOf(child);
      }
      return text;
    };
    const nameOf = (element: Element): string => {
      const by = element.getAttribute('aria-labelledby')?.split(' ') ?? [];
      const named = by.map((id) =>
        tidy(document.getElementById(id)?.getAttribute('aria-label') ?? document.getElementById(id)?.textContent),
      );
      const labels = Array.from((element as HTMLInputElement).labels ?? [], (label) => tidy(textOf(label)));
      const candidates = [named.join(' '), tidy(element.getAttribute('aria-label')), labels.join(' '), tidy(textOf(element))];
      return candidates.find((name) => name !== '') ?? tidy(element.getAttribute('title') ?? element.getAttribute('placeholder'));
    };
    const ROLES: Record<string, string> = { textbox: 'input, textarea, [role=textbox]' };
    const kinds = role
      ? (ROLES[role] ?? `[role=${role}]`)
      : 'button, a[href], input, select, textarea, summary, [role], [aria-label]';
    return Array.from((root as Element).querySelectorAll(kinds)).filter(
      (one) => nameOf(one) === wanted && one.checkVisibility() && !one.closest('[aria-hidden=true], [inert]'),
    );
  },
};

let isKnown = false;

/** Makes the names known to the browser's driver. */
export function knowNames(): void {
  if (!isKnown) Puppeteer.registerCustomQueryHandler('named', handler);
  isKnown = true;
}
