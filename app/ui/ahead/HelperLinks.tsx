import { Box, chakra } from "@chakra-ui/react";
import { useState } from "react";
import { useFetcher } from "react-router";
import type { HelperLinks as Links, LinkTold } from "~/views/access/helper-links";
import { Field } from "~/ui/forms/Field";
import { Fold } from "~/ui/shell/Fold";
import { Action, Bar, PlainList, Quiet, TextInput } from "~/ui/theme/parts";

interface HelperLinksProps extends Links {
  /** First day of the trip that the sheet is of. */
  from: string;
  who: string | null;
}

/** For the household: a link that shows the helper this sheet on their own phone, and takes what they say of it. */
export function HelperLinks({ canMake, links, from, who }: HelperLinksProps) {
  const fetcher = useFetcher<LinkTold>();
  const { made, done, error } = fetcher.data ?? {};
  // As it was met: the last link that is ended does not fold the page over the answer.
  const [isOpen] = useState(links.length > 0);
  if (!canMake && links.length === 0) return null;
  return (
    <Box marginTop="10px" css={{ "@media print": { display: "none" } }}>
      <Fold summary="On the helper’s own phone" open={isOpen}>
        <fetcher.Form method="post" action="/before/helper">
          <input type="hidden" name="from" value={from} />
          <Bar gap="10px" alignItems="end">
            <Field label="Who helps" error={error}>
              {(ids) => (
                <TextInput {...ids} name="name" defaultValue={who ?? ""} maxLength={40} required autoComplete="off" />
              )}
            </Field>
            <Action name="intent" value="make link" disabled={fetcher.state !== "idle"}>
              Make a link
            </Action>
          </Bar>
        </fetcher.Form>
        <Quiet marginBlock="10px">
          It opens this sheet as it stands on the day, takes picks and looks for what is on it and nothing else, and
          ends with the last day away. The phone has to be on the household’s network.
        </Quiet>
        <Box aria-live="polite">
          {done && <p>✓ {done}</p>}
          {made && (
            <Box display="grid" gridTemplateColumns={{ base: "1fr", md: "auto 1fr" }} gap="14px" marginBlock="10px">
              <chakra.img
                src={made.picture}
                alt={`The link for ${made.name} as a square for a camera`}
                width="180px"
                height="180px"
                background="white"
                borderRadius="8px"
              />{" "}
              <Box display="grid" gap="10px" alignContent="start" justifyItems="start">
                <chakra.p overflowWrap="anywhere">
                  For {made.name}, until {made.until}. It is shown this once: <strong>{made.url}</strong>
                </chakra.p>
                <CopyLink url={made.url} />
              </Box>
            </Box>
          )}
        </Box>
        {links.length > 0 && (
          <PlainList display="grid" gap="10px">
            {links.map((link) => (
              <li key={link.id}>
                <fetcher.Form method="post" action="/before/helper">
                  <input type="hidden" name="id" value={link.id} />
                  <Bar gap="10px">
                    <span>
                      {link.name}, until {link.until}
                    </span>
                    <Action name="intent" value="end link" aria-label={`End the link of ${link.name}`}>
                      End it
                    </Action>
                  </Bar>
                </fetcher.Form>
              </li>
            ))}
          </PlainList>
        )}
      </Fold>
    </Box>
  );
}

/** To be sent to the helper as the household sends anything. */
function CopyLink({ url }: { url: string }) {
  const [came, setCame] = useState("");
  const copy = () =>
    navigator.clipboard.writeText(url).then(
      () => setCame("Copied."),
      () => setCame("This browser does not copy: mark the link and copy it by hand."),
    );
  return (
    <Bar gap="10px">
      <Action onClick={() => void copy()}>Copy the link</Action>
      <span aria-live="polite">{came}</span>
    </Bar>
  );
}
