import { chakra } from "@chakra-ui/react";
import { useEffect, useState } from "react";
import { useFetcher } from "react-router";
import type { HandsOffer, HandsTold } from "~/views/ahead/hands-words";
import { Action, PlainList, Quiet } from "~/ui/theme/parts";
import { Part } from "./SheetFrame";

interface HandsPartProps {
  before: "frost" | "trip";
  on: string;
  /** Whenever this is another, it is asked again. */
  of: unknown;
}

/** What the days away cost, and what more hands or covers would bring: the plan has to be asked again for it. */
export function HandsPart({ before, on, of }: HandsPartProps) {
  const [told, setTold] = useState<HandsTold | null | undefined>(undefined);
  useEffect(() => {
    const left = new AbortController();
    setTold(undefined);
    fetch(`/hands?${new URLSearchParams({ before, on })}`, { signal: left.signal })
      .then(async (answer) => setTold(answer.ok ? ((await answer.json()) as HandsTold) : null))
      .catch(() => {
        if (!left.signal.aborted) setTold(null);
      });
    return () => left.abort();
  }, [before, on, of]);
  return (
    <Part title="What more hands would bring" note="Each by itself; the plan was asked again for it.">
      {told === undefined && <Quiet role="status">Asking the plan again …</Quiet>}
      {told === null && <Quiet role="status">That could not be worked out just now.</Quiet>}
      {told?.cost && <chakra.p marginBottom="6px">{told.cost}</chakra.p>}
      {told?.offers.length === 0 && <p>Neither an hour more nor a cover would bring in more.</p>}
      {told && told.offers.length > 0 && (
        <PlainList display="grid" gap="8px">
          {told.offers.map((offer) => (
            <Offer key={offer.words} offer={offer} />
          ))}
        </PlainList>
      )}
    </Part>
  );
}

function Offer({ offer }: { offer: HandsOffer }) {
  const fetcher = useFetcher<{ sentence: string }>();
  return (
    <chakra.li display="flex" flexWrap="wrap" gap="4px 14px" alignItems="center">
      <span>
        <strong>{offer.words}:</strong> {offer.brings}.
      </span>
      <fetcher.Form method="post" action="/?index">
        <input type="hidden" name="suppositions" value={JSON.stringify(offer.suppositions)} />
        <Action size="small" name="intent" value="keep" disabled={fetcher.state !== "idle"}>
          So it is
        </Action>
      </fetcher.Form>
      {fetcher.data && <span role="status">{fetcher.data.sentence}</span>}
    </chakra.li>
  );
}
