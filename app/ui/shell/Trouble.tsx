import { chakra } from "@chakra-ui/react";
import { isRouteErrorResponse } from "react-router";
import { ActionLink } from "~/ui/theme/parts";

/** What a page says that cannot be shown. */
export function Trouble({ error }: { error: unknown }) {
  const known = isRouteErrorResponse(error);
  const sentence = known && typeof error.data === "string" && error.data ? error.data : known && error.status === 404 ? "There is no such page in the garden." : "Something went wrong on our side. Nothing you saved is lost."; // prettier-ignore
  return (
    <chakra.main maxWidth="560px" margin="12vh auto" padding="24px" display="grid" gap="16px" justifyItems="start">
      <chakra.h1 fontSize="2rem">{known && error.status === 404 ? "Not here" : "That did not work"}</chakra.h1>
      <p>{sentence}</p>
      <ActionLink href="/">Back to the horizon</ActionLink>
    </chakra.main>
  );
}
