interface Drawing {
  readonly stream: string | Buffer;
  readonly isDeflated?: boolean;
  /** Which other drawing its `/F` is. */
  readonly form?: number;
}

/** A PDF of one page that is drawn by the first of these; the others are forms. */
export function pdfOf(drawings: readonly Drawing[]): Buffer {
  const first = 4;
  const resources = ({ form }: Drawing): string => (form === undefined ? '<< >>' : `<< /XObject << /F ${first + form} 0 R >> >>`);
  const objects: (string | Buffer)[][] = [
    ['<< /Type /Catalog /Pages 2 0 R >>'],
    ['<< /Type /Pages /Kids [3 0 R] /Count 1 >>'],
    [`<< /Type /Page /Parent 2 0 R /MediaBox [0 0 200 100] /Contents ${first} 0 R /Resources ${resources(drawings[0]!)} >>`],
    ...drawings.map((drawing) => [
      `<< /Type /XObject /Subtype /Form /BBox [0 0 200 100] /Resources ${resources(drawing)} /Length ${drawing.stream.length}${drawing.isDeflated ? ' /Filter /FlateDecode' : ''} >>\nstream\n`,
      drawing.stream,
      '\nendstream',
    ]),
  ];
  const parts: Buffer[] = [];
  let at = 0;
  const add = (part: string | Buffer): void => {
    parts.push(Buffer.from(part as string));
    at += parts.at(-1)!.length;
  };
  add('%PDF-1.4\n');
  const offsets = objects.map((object, i) => {
    const begins = at;
    for (const part of [`${i + 1} 0 obj\n`, ...object, '\nendobj\n']) add(part);
    return begins;
  });
  const start = at;
  const size = objects.length + 1;
  add(
    `xref\n0 ${size}\n0000000000 65535 f \n${offsets.map((offset) => `${String(offset).padStart(10, '0')} 00000 n \n`).join('')}`,
  );
  add(`trailer << /Size ${size} /Root 1 0 R >>\nstartxref\n${start}\n%%EOF`);
  return Buffer.concat(parts);
}
