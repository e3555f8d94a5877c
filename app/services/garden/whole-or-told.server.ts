import { data } from "react-router";
import { fileTrouble } from "~/db/file-trouble.server";

/** The disk has no room, or will not be written to. */
const NO_ROOM = 507;

/**
 * An act of a page: what the disk would not take is told in a sentence. Each act writes in one transaction, so nothing
 * of it is half there.
 */
export function wholeOrTold<A, R>(act: (args: A) => Promise<R>): (args: A) => Promise<R> {
  return async (args) => {
    try {
      return await act(args);
    } catch (error) {
      const sentence = fileTrouble(error);
      if (!sentence) throw error;
      console.error(error);
      throw data(sentence, { status: NO_ROOM });
    }
  };
}
