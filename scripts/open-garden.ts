import { requestDb } from "~/db/client.server";
import { theGarden } from "~/db/garden/garden.server";

/** Opens the garden's file before the server starts, so that a wrong file is told at once, in a sentence. */
try {
  const name = theGarden(requestDb())?.name ?? "a new garden";
  console.log(`Opened ${name} in ${process.env.AKMEDON_GARDEN ?? "garden.sqlite"}`);
} catch (error) {
  console.error(`The garden's file cannot be opened: ${(error as Error).message}`);
  process.exit(1);
}
