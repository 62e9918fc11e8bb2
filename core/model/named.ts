/** What a case, a combination or an outcome is called: `U1 · Snow leads`, or its id alone. */
export const nameOf = ({ id, title }: { readonly id: string; readonly title?: string | undefined }): string =>
  title ? `${id} · ${title}` : id;
