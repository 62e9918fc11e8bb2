import { useEffect, useRef, useState } from 'react';
import type { LinesAsked, MembersOfLines } from '@rigid-beam/core/formats/dxf/members-of-lines';
import type { Drawing } from '@rigid-beam/core/formats/dxf/read-dxf';
import type { Model } from '@rigid-beam/core/model/model';
import { TakingClient } from './taking-client';
import { taking as WORDS } from './words';

/** A drawing of a file, its arcs in parts of at most so many degrees; nothing while it is first read. */
export function useDrawing(
  file: File,
  degrees: number,
): {
  readonly client: TakingClient | undefined;
  readonly drawing: Drawing | undefined;
  readonly trouble: string | undefined;
} {
  const [read, setRead] = useState<{ readonly client: TakingClient; readonly drawing: Drawing | string }>();
  useEffect(() => {
    const client = new TakingClient();
    let isWanted = true;
    client
      .ask((reader) => reader.drawing(file, (degrees * Math.PI) / 180) as Promise<Drawing | string>)
      .then(
        (drawing) => isWanted && setRead({ client, drawing }),
        (fault: unknown) => isWanted && setRead({ client, drawing: WORDS.failed((fault as Error).message) }),
      );
    return () => {
      isWanted = false;
      client.close();
    };
  }, [file, degrees]);
  const { client, drawing } = read ?? {};
  return typeof drawing === 'string' ? { client, drawing: undefined, trouble: drawing } : { client, drawing, trouble: undefined };
}

/** What becomes of the lines on some layers; nothing while that is being found. `asked` is the same as long as the same is asked. */
export function useMembers(
  client: TakingClient | undefined,
  asked: { readonly layers: readonly string[]; readonly space: Model['space']; readonly asked: LinesAsked } | undefined,
): MembersOfLines | undefined {
  const [made, setMade] = useState<{ readonly of: unknown; readonly what: MembersOfLines }>();
  const last = useRef(asked);
  useEffect(() => {
    last.current = asked;
    if (client && asked)
      client
        .ask((reader) => reader.members(asked.layers, asked.space, asked.asked))
        .then(
          (what) => last.current === asked && setMade({ of: asked, what }),
          () => undefined,
        );
  }, [client, asked]);
  return made?.of === asked ? made?.what : undefined;
}
