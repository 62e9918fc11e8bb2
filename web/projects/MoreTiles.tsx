'use client';

import { useEffect, useRef } from 'react';
import { Button, Row } from '../ui/controls';
import { projectsPage as WORDS } from './words';

/** The end of what is shown: whoever comes near to it is shown more, by the pointer or by a key. */
export function MoreTiles({ more, showMore }: { readonly more: number; readonly showMore: () => void }) {
  const place = useRef<HTMLDivElement>(null);
  useEffect(() => {
    const observer = new IntersectionObserver((entries) => entries.some(({ isIntersecting }) => isIntersecting) && showMore(), {
      rootMargin: '400px',
    });
    observer.observe(place.current!);
    return () => observer.disconnect();
    // Looked for anew when more has come: it may still be near.
  }, [showMore, more]);
  return (
    <div ref={place}>
      <Row>
        <Button onPress={showMore}>{WORDS.showMore(more)}</Button>
      </Row>
    </div>
  );
}
