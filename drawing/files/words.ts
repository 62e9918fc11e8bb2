/** What is said of files that were asked for in words. */
export const fileWords = {
  pagesOfOne: (count: number): string => `${count} sheets are pages of one file: ask for a PDF.`,
  leftOut: (sheet: number, texts: number): string =>
    `On sheet ${sheet} no room was found for ${texts} of its texts. A larger scale has more.`,
  noOutcome: (id: string, ids: string): string => `There is no case or combination “${id}”. There are: ${ids}.`,
  noQuantity: (text: string): string => `“${text}” is no quantity: the chapters draw it where it belongs.`,
  noChapter: (name: string, names: string): string => `There is no chapter “${name}”. There are: ${names}.`,
};
