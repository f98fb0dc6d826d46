"use client";

import { select } from "d3-selection";
import { type ZoomBehavior, type ZoomTransform, zoom, zoomIdentity } from "d3-zoom";
import { type KeyboardEvent, type RefObject, useCallback, useEffect, useRef, useState } from "react";
import type { Box, XY } from "./line-layout";

/** Below this a label cannot be read in the hand. */
const READABLE = 0.72;
const CLOSEST = 3;
const STEP = 1.35;

export interface PanZoom {
  readonly ref: RefObject<SVGSVGElement | null>;
  readonly transform: ZoomTransform;
  /** What of the drawing shows now, in its own units. */
  readonly window: Box;
  readonly onKeyDown: (event: KeyboardEvent) => void;
  readonly by: (factor: number) => void;
  readonly whole: () => void;
}

/**
 * Pan and zoom of a drawing by touch, mouse, wheel and keys. It begins with the whole drawing where that can be read,
 * and else with `focus` in the middle.
 */
export function usePanZoom(box: Box, focus: XY | undefined): PanZoom {
  const ref = useRef<SVGSVGElement>(null);
  const behaviour = useRef<ZoomBehavior<SVGSVGElement, unknown>>(null);
  const [transform, setTransform] = useState(zoomIdentity);
  const [size, setSize] = useState<XY>([800, 600]);
  const touched = useRef(false);

  useEffect(() => {
    const svg = ref.current;
    if (svg === null) return;
    const made = zoom<SVGSVGElement, unknown>()
      .scaleExtent([Math.min(READABLE, 400 / box.width), CLOSEST])
      // What is dragged itself does not drag the drawing with it.
      .filter((event: Event & { button?: number; ctrlKey?: boolean }) =>
        (event.target as Element).closest("[data-drag]") !== null && event.type !== "wheel"
          ? false
          : (!event.ctrlKey || event.type === "wheel") && !event.button,
      )
      .on("zoom", (event: { transform: ZoomTransform; sourceEvent: unknown }) => {
        if (event.sourceEvent !== null) touched.current = true;
        setTransform(event.transform);
      });
    behaviour.current = made;
    const selection = select(svg).call(made);
    const watch = new ResizeObserver(([entry]) => {
      if (entry !== undefined) setSize([entry.contentRect.width, entry.contentRect.height]);
    });
    watch.observe(svg);
    return () => {
      watch.disconnect();
      selection.on(".zoom", null);
    };
  }, [box.width]);

  const show = useCallback(
    (least: number, centre: XY | undefined) => {
      const svg = ref.current;
      if (svg === null || behaviour.current === null) return;
      const fit = Math.min(size[0] / box.width, size[1] / box.height);
      const scale = Math.min(1.15, Math.max(least, fit));
      const middle: XY =
        scale > fit && centre !== undefined ? centre : [box.x + box.width / 2, box.y + box.height / 2];
      select(svg).call(
        behaviour.current.transform,
        zoomIdentity.translate(size[0] / 2 - middle[0] * scale, size[1] / 2 - middle[1] * scale).scale(scale),
      );
    },
    [box, size],
  );
  const [focusX, focusY] = focus ?? [];
  useEffect(() => {
    if (!touched.current) show(READABLE, focusX === undefined ? undefined : [focusX, focusY!]);
  }, [show, focusX, focusY]);

  const by = useCallback((factor: number) => {
    touched.current = true;
    if (ref.current !== null && behaviour.current !== null)
      select(ref.current).call(behaviour.current.scaleBy, factor);
  }, []);
  const whole = useCallback(() => {
    touched.current = true;
    show(0, undefined);
  }, [show]);
  const onKeyDown = useCallback(
    (event: KeyboardEvent) => {
      const move = (dx: number, dy: number) => {
        touched.current = true;
        if (ref.current !== null && behaviour.current !== null)
          select(ref.current).call(behaviour.current.translateBy, dx / transform.k, dy / transform.k);
      };
      const actions: Record<string, () => void> = {
        "+": () => by(STEP),
        "=": () => by(STEP),
        "-": () => by(1 / STEP),
        "0": whole,
        ArrowLeft: () => move(80, 0),
        ArrowRight: () => move(-80, 0),
        ArrowUp: () => move(0, 80),
        ArrowDown: () => move(0, -80),
      };
      const action = actions[event.key];
      if (action === undefined || event.ctrlKey || event.metaKey || event.altKey) return;
      event.preventDefault();
      event.stopPropagation();
      action();
    },
    [by, whole, transform.k],
  );
  const window: Box = {
    x: -transform.x / transform.k,
    y: -transform.y / transform.k,
    width: size[0] / transform.k,
    height: size[1] / transform.k,
  };
  return { ref, transform, window, onKeyDown, by, whole };
}
