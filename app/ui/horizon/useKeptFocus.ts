import { useEffect, useRef, type FocusEvent, type RefObject } from "react";

/** Keeps whoever works by keyboard on their row when a new plan takes the focused pick away. */
export function useKeptFocus(board: RefObject<HTMLElement | null>, view: unknown) {
  const row = useRef<string | null>(null);
  useEffect(() => {
    if (row.current === null || document.activeElement !== document.body) return;
    const own = board.current?.querySelector(`[data-row="${CSS.escape(row.current)}"]`);
    const pick = own?.querySelector<HTMLElement>(".pick:has([data-asked])") ?? own?.querySelector<HTMLElement>("a");
    pick?.focus({ preventScroll: true });
  }, [board, view]);
  return {
    onFocus: ({ target }: FocusEvent) => {
      row.current = target.closest("[data-row]")?.getAttribute("data-row") ?? null;
    },
  };
}
