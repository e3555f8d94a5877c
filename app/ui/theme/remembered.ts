import type { SystemContext } from "@chakra-ui/react";

/** Styles remembered at most: more than all screens have. */
const MOST = 5000;

/**
 * The same system with its answers remembered. Of itself it makes the recipe of an element anew each time the element is
 * drawn, and finds what it remembers by sorting all keys of a style; on a page of a hundred rows that was most of the
 * server's work. `tests/ui/remembered.test.tsx` holds it to drawing the same.
 */
export function remembered(system: SystemContext): SystemContext {
  const recipes = new WeakMap<object, ReturnType<SystemContext["cva"]>>();
  const styles = new Map<string, ReturnType<SystemContext["css"]>>();
  const valid = new Map<string, boolean>();
  const cva = ((config: object) => {
    const known = recipes.get(config);
    if (known) return known;
    const made = system.cva(config as Parameters<SystemContext["cva"]>[0]);
    recipes.set(config, made);
    return made;
  }) as SystemContext["cva"];
  const css = ((...of: Parameters<SystemContext["css"]>) => {
    const key = JSON.stringify(of);
    const known = styles.get(key);
    if (known) return known;
    const made = system.css(...of);
    if (styles.size >= MOST) styles.clear();
    styles.set(key, made);
    return made;
  }) as SystemContext["css"];
  const isValidProperty = (prop: string) => {
    const known = valid.get(prop);
    if (known !== undefined) return known;
    const is = system.isValidProperty(prop);
    if (valid.size < MOST) valid.set(prop, is);
    return is;
  };
  return { ...system, cva, css, isValidProperty };
}
