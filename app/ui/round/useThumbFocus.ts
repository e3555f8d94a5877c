import { useEffect, useRef, type RefObject } from "react";
import { useNavigationType } from "react-router";

/** The element that was focused has gone from the page, or never was. */
const isFocusLost = () => document.activeElement === null || document.activeElement === document.body;

/**
 * Keeps the keyboard where the thumb is: at the log when a page opens by a tap and when what was focused has gone. A page
 * opened by its address begins at its top, as usual.
 *
 * @param changes - after which the focus may be lost
 */
export function useThumbFocus(panel: RefObject<HTMLElement | null>, changes: unknown): void {
  const isByTap = useNavigationType() !== "POP";
  const isFirst = useRef(true);
  useEffect(() => {
    if (isFocusLost() && (isByTap || !isFirst.current)) panel.current?.focus({ preventScroll: true });
    isFirst.current = false;
  }, [changes, isByTap, panel]);
}
