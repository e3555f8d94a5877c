import { useEffect, useRef } from "react";
import { useLocation } from "react-router";

/** Where the garden's machine serves another build of the app, the next page is opened anew: scripts of one do not read data of another. */
export function useNewBuild(build: string): void {
  const own = useRef(build);
  const served = useRef(build);
  const { pathname } = useLocation();
  useEffect(() => {
    served.current = build;
  }, [build]);
  useEffect(() => {
    if (served.current !== own.current) window.location.reload();
  }, [pathname]);
}
