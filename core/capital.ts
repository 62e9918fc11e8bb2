/** With a capital letter, as a label begins. */
export const capital = (text: string): string => text.replace(/^./, (letter) => letter.toUpperCase());
