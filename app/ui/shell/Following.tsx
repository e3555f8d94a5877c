import { Suspense, type ReactNode } from "react";
import { Await } from "react-router";
import { Page, Quiet } from "~/ui/theme/parts";

interface FollowingProps<T> {
  /** There already, or still being worked out. */
  of: T | Promise<T>;
  /** What stands until then. */
  meanwhile?: ReactNode;
  children: (value: T) => ReactNode;
}

/**
 * Shows what is worked out as soon as it is there; the page around it stands meanwhile. Drawn the same way whether it is
 * there or comes: a page that came and is then brought up to date keeps what is typed on it.
 */
export function Following<T>({ of, meanwhile = <LookingOver />, children }: FollowingProps<T>) {
  return (
    <Suspense fallback={meanwhile}>
      <Await resolve={of}>{(value) => children(value as T)}</Await>
    </Suspense>
  );
}

function LookingOver() {
  return (
    <Page>
      <Quiet role="status">Looking over the beds and working out the plan …</Quiet>
    </Page>
  );
}
