import { chakra } from "@chakra-ui/react";
import { isRouteErrorResponse } from "react-router";
import { Action, ActionLink, Bar } from "~/ui/theme/parts";

/** A request that never came back: how browsers say it. */
const isNoSignal = (error: unknown) => error instanceof TypeError && /fetch|network|load failed/i.test(error.message);

/** Without signal: nothing that was logged is lost, and what else was changed was not. */
function NoSignal() {
  return (
    <chakra.div maxWidth="560px" margin="12vh auto" padding="24px" display="grid" gap="16px" justifyItems="start">
      <chakra.h1 fontSize="2rem">No signal</chakra.h1>
      <p>
        This needs the garden’s machine, and it does not answer. What you logged waits on this device; anything else you
        have just changed was not saved.
      </p>
      <Bar>
        <ActionLink href="/round">To the round</ActionLink>
        <Action onClick={() => window.location.reload()}>Try again</Action>
      </Bar>
    </chakra.div>
  );
}

/** What a page says that cannot be shown. */
export function Trouble({ error }: { error: unknown }) {
  const known = isRouteErrorResponse(error);
  if (isNoSignal(error)) return <NoSignal />;
  const sentence = known && typeof error.data === "string" && error.data ? error.data : known && error.status === 404 ? "There is no such page in the garden." : "Something went wrong on our side. Nothing you saved is lost."; // prettier-ignore
  return (
    <chakra.div maxWidth="560px" margin="12vh auto" padding="24px" display="grid" gap="16px" justifyItems="start">
      <chakra.h1 fontSize="2rem">{known && error.status === 404 ? "Not here" : "That did not work"}</chakra.h1>
      <p>{sentence}</p>
      <ActionLink href="/">Back to the horizon</ActionLink>
    </chakra.div>
  );
}
