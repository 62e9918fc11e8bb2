export function findBrowser(): string | undefined;
export const browserFlags: string[];
export const NO_BROWSER: string;
