import { useEffect, useState } from "react";

/** Whether an element can be seen, scrolled as the page or its dialog is now; the ref goes on the element. */
export function useInView(): readonly [(element: Element | null) => void, boolean] {
  const [element, setElement] = useState<Element | null>(null);
  const [inView, setInView] = useState(false);
  useEffect(() => {
    if (element === null) return setInView(false);
    const observer = new IntersectionObserver(([entry]) => setInView(entry?.isIntersecting ?? false));
    observer.observe(element);
    return () => observer.disconnect();
  }, [element]);
  return [setElement, inView];
}
