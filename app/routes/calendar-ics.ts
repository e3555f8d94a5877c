import { calendarFeed } from "~/services/feed/calendar-feed.server";
import { knownGarden } from "~/services/garden/known-garden.server";

export async function loader() {
  const { db, garden } = knownGarden();
  return new Response(await calendarFeed(db, garden), {
    headers: {
      "Content-Type": "text/calendar; charset=utf-8",
      "Content-Disposition": 'inline; filename="akmedon.ics"',
      "Cache-Control": "no-cache",
    },
  });
}
