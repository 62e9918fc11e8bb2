export const dxf = {
  tooLarge: (letters: number): string =>
    `The drawing is too large: at most ${letters / 1024 / 1024} MiB are read. Save only the layers that are needed`,
  binary: 'The drawing is in the binary form of DXF, which is not read. Save it as text (ASCII)',
  noDxf: (reason: string): string => `The file is no DXF drawing that can be read: ${reason}. Save it again as DXF in text form`,
  noCode: (line: number): string => `line ${line} is no code`,
  noEntities: 'it has no entities',
  tooMany: (count: number): string => `The drawing has more than ${count} lines. Save only the layers that are needed`,
};
