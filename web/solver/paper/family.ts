import { TypeFamily } from '@rigid-beam/drawing/paper/type-family';

export const fetched = async (address: URL): Promise<Uint8Array> => {
  const answer = await fetch(address);
  if (!answer.ok) throw new Error(`${address.pathname}: ${answer.status}`);
  return new Uint8Array(await answer.arrayBuffer());
};

let family: TypeFamily | undefined;

/** The shipped family (`FONT_PATHS`), fetched once: what bundles the page finds its files by these very words. */
export async function shippedFamily(): Promise<TypeFamily> {
  if (family) return family;
  const regular = [
    new URL('@fontsource/ibm-plex-sans-condensed/files/ibm-plex-sans-condensed-latin-400-normal.woff', import.meta.url),
    new URL('@fontsource/ibm-plex-sans-condensed/files/ibm-plex-sans-condensed-latin-ext-400-normal.woff', import.meta.url),
    new URL('@fontsource/ibm-plex-sans/files/ibm-plex-sans-greek-400-normal.woff', import.meta.url),
    new URL('dejavu-fonts-ttf/ttf/DejaVuSansCondensed.ttf', import.meta.url),
  ];
  const strong = [
    new URL('@fontsource/ibm-plex-sans-condensed/files/ibm-plex-sans-condensed-latin-600-normal.woff', import.meta.url),
    new URL('@fontsource/ibm-plex-sans-condensed/files/ibm-plex-sans-condensed-latin-ext-600-normal.woff', import.meta.url),
    new URL('@fontsource/ibm-plex-sans/files/ibm-plex-sans-greek-600-normal.woff', import.meta.url),
    new URL('dejavu-fonts-ttf/ttf/DejaVuSansCondensed-Bold.ttf', import.meta.url),
  ];
  const all = (files: readonly URL[]): Promise<Uint8Array[]> => Promise.all(files.map(fetched));
  const [plain, heavy] = await Promise.all([all(regular), all(strong)]);
  return (family = new TypeFamily({ regular: plain, strong: heavy }));
}
