import type { Frame } from '@estribo/core/drawing';
import { useLayoutEffect, useRef, useState, type RefObject } from 'react';

/** The size of a place on the screen in px, so that what is drawn in it keeps its letters' size. */
export function useFrame(first: Frame): [RefObject<HTMLDivElement | null>, Frame] {
  const place = useRef<HTMLDivElement>(null);
  const [frame, setFrame] = useState(first);
  useLayoutEffect(() => {
    const at = place.current;
    if (!at || typeof ResizeObserver === 'undefined') return;
    const take = () => {
      const { clientWidth: width, clientHeight: height } = at;
      if (width > 0 && height > 0)
        setFrame((before) =>
          before.width === width && before.height === height ? before : { width, height },
        );
    };
    take();
    const watch = new ResizeObserver(take);
    watch.observe(at);
    return () => watch.disconnect();
  }, []);
  return [place, frame];
}
