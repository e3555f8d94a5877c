import { Box } from "@chakra-ui/react";
import { ActionLink, Quiet } from "~/ui/theme/parts";
import { Card } from "~/ui/shell/Card";

/** The plan as a calendar that others subscribe to. */
export function CalendarOut({ origin }: { origin: string }) {
  return (
    <Card title="Into your calendar">
      <Quiet margin="0 0 8px">
        Rounds, jobs beside picking, covers and what is worth doing. Subscribed to, it follows the plan: what moves is
        moved, what falls away is called off. A calendar on this machine can subscribe to
      </Quiet>
      <Box fontWeight="700" margin="0 0 10px" overflowWrap="anywhere">
        {origin}/calendar.ics
      </Box>
      <ActionLink href="/calendar.ics" download="akmedon.ics">
        Save it as a file
      </ActionLink>{" "}
      <ActionLink href="/plan.csv" download="akmedon-plan.csv">
        As a table (CSV)
      </ActionLink>
    </Card>
  );
}
