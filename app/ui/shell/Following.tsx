import { Suspense, useState, type ReactNode } from "react";
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
 * Shows what is worked out as soon as it is there; the page around it stands meanwhile. A page that came late is drawn
 * the same way when it is brought up to date: what is typed on it stays.
 */
export function Following<T>({ of, meanwhile = <LookingOver />, children }: FollowingProps<T>) {
  const [cameLate] = useState(of instanceof Promise);
  if (!cameLate && !(of instanceof Promise)) return <>{children(of)}</>;
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
