/**
 * Properties as printed in tables of sections to EN 10365: by family the names, and by property what is printed for each, in cm and its
 * powers. Ours must agree to half a unit of the last printed digit.
 */
export interface PublishedFamily {
  readonly family: string;
  readonly names: readonly string[];
  readonly printed: Readonly<Partial<Record<'A' | 'Iz' | 'Iy' | 'Wplz', readonly string[]>>>;
}

const list = (text: string): string[] => text.trim().split(/\s+/);
const named = (family: string, sizes: string): string[] => list(sizes).map((size) => `${family} ${size}`);
const HE = '100 120 140 160 180 200 220 240 260 280 300 320 340 360 400 450 500 550 600 650 700 800 900 1000';

export const publishedSections: readonly PublishedFamily[] = [
  {
    family: 'IPE',
    names: named('IPE', '80 100 120 140 160 180 200 220 240 270 300 330 360 400 450 500 550 600'),
    printed: {
      A: list('7.64 10.3 13.2 16.4 20.1 23.9 28.5 33.4 39.1 45.9 53.8 62.6 72.7 84.5 98.8 116 134 156'),
      Iz: list('80.1 171 318 541 869 1317 1943 2772 3892 5790 8356 11770 16270 23130 33740 48200 67120 92080'),
      Iy: list('8.49 15.9 27.7 44.9 68.3 101 142 205 284 420 604 788 1043 1318 1676 2142 2668 3387'),
      Wplz: list('23.2 39.4 60.7 88.3 124 166 221 285 367 484 628 804 1019 1307 1702 2194 2787 3512'),
    },
  },
  {
    family: 'HEA',
    names: named('HEA', HE),
    printed: {
      A: list('21.2 25.3 31.4 38.8 45.3 53.8 64.3 76.8 86.8 97.3 112.5 124 133 143 159 178 198 212 226 242 260 286 320.5 347'),
      Iz: list(
        '349 606 1033 1673 2510 3692 5410 7763 10450 13670 18260 22930 27690 33090 45070 63720 86970 111900 141200 175200 215300 303400 422100 553800',
      ),
      Iy: list(
        '134 231 389 616 925 1336 1955 2769 3668 4763 6310 6985 7436 7887 8564 9465 10370 10820 11270 11720 12180 12640 13550 14000',
      ),
    },
  },
  {
    family: 'HEB',
    names: named('HEB', HE),
    printed: {
      A: list('26.0 34.0 43.0 54.3 65.3 78.1 91.0 106 118 131 149 161 171 181 198 218 239 254 270 286 306 334 371 400'),
      Iz: list(
        '450 864 1509 2492 3831 5696 8091 11260 14920 19270 25170 30820 36660 43190 57680 79890 107200 136700 171000 210600 256900 359100 494100 644700',
      ),
      Iy: list(
        '167 318 550 889 1363 2003 2843 3923 5135 6595 8563 9239 9690 10140 10820 11720 12620 13080 13530 13980 14440 14900 15820 16280',
      ),
    },
  },
];

/** One unit of the last digit that is printed: of 11770 the tens, since tables print four digits. */
export function lastUnit(printed: string): number {
  const decimals = printed.split('.')[1]?.length;
  if (decimals !== undefined) return 10 ** -decimals;
  return 10 ** Math.max(0, printed.length - 4);
}
