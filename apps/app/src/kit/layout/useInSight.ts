import { useEffect, useRef, useState, type RefObject } from 'react';

/** Drawn a little before it comes into sight. */
const AHEAD = '300px';

/** Whether an element is, or has been, in sight or near it. Where a browser cannot tell, it is. */
export function useInSight(): { ref: RefObject<HTMLDivElement | null>; seen: boolean } {
  const ref = useRef<HTMLDivElement>(null);
  const [seen, setSeen] = useState(typeof IntersectionObserver === 'undefined');
  useEffect(() => {
    const element = ref.current;
    if (seen || !element) return;
    const observer = new IntersectionObserver(
      (entries) => {
        if (entries.some(({ isIntersecting }) => isIntersecting)) setSeen(true);
      },
      { rootMargin: AHEAD },
    );
    observer.observe(element);
    return () => observer.disconnect();
  }, [seen]);
  return { ref, seen };
}
