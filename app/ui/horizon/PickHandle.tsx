import { Suspense, lazy, useState } from "react";
import { PickButton, type PickHandleProps } from "./PickButton";

const AskedHandle = lazy(() => import("./AskedHandle"));

/** A planned pick on the ridge: to move, and to tap for its reasons; these are made ready when they are asked for. */
export function PickHandle(props: PickHandleProps) {
  const [asked, setAsked] = useState(false);
  if (!asked)
    return <PickButton {...props} aria-haspopup="dialog" aria-expanded={false} onClick={() => setAsked(true)} />;
  return (
    <Suspense fallback={<PickButton {...props} />}>
      <AskedHandle {...props} />
    </Suspense>
  );
}
