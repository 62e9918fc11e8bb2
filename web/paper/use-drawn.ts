import { useEffect, useState } from 'react';
import type { Editor } from '../editor/editor';
import type { PaperAsked, PaperFound, ReportFound, ReportWanted } from '../solver/paper/asked';

/** A picture of a sheet or page, or why there is none; what was made before stays until the next is there. */
interface Preview<F> {
  readonly found: F | undefined;
  readonly address: string | undefined;
  readonly isGoing: boolean;
  /** What is being drawn, where that is told. */
  readonly doing: string | undefined;
}

/** Milliseconds for which nothing changes before a sheet is drawn: one types its title. */
const REST = 150;

export const useDrawn = ({ files }: Editor, asked: PaperAsked): Preview<PaperFound> => usePreview(asked, files.draw);
export const useReported = ({ files }: Editor, wanted: ReportWanted): Preview<ReportFound> => usePreview(wanted, files.report);

/** Makes a preview of what is asked for, away from the page; `asked` is the same as long as the same is asked. */
function usePreview<A, F extends object>(asked: A, make: (asked: A, told: (what: string) => void) => Promise<F>): Preview<F> {
  const [made, setMade] = useState<{ readonly of: A; readonly found: F; readonly address: string | undefined }>();
  const [doing, setDoing] = useState<string>();
  useEffect(() => {
    let isWanted = true;
    const timer = setTimeout(() => {
      void make(asked, (what) => isWanted && setDoing(what)).then((found) => {
        const { content } = found as { readonly content?: Blob };
        if (!isWanted) return;
        setDoing(undefined);
        setMade({ of: asked, found, address: content && URL.createObjectURL(content) });
      });
    }, REST);
    return () => {
      isWanted = false;
      clearTimeout(timer);
    };
  }, [asked, make]);
  const address = made?.address;
  useEffect(() => () => void (address && URL.revokeObjectURL(address)), [address]);
  return { found: made?.found, address, isGoing: made?.of !== asked, doing };
}
