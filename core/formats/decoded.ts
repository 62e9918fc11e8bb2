/** Everywhere there, though no library that the core knows says so. */
declare const TextDecoder: new () => { readonly decode: (bytes: Uint8Array) => string };

/** The text of bytes in UTF-8. */
export const decoded = (bytes: Uint8Array): string => new TextDecoder().decode(bytes);
