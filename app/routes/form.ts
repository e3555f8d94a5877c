import { data } from "react-router";

/**
 * The fields of a form that was sent.
 *
 * @throws {Response} 400 with a sentence when what came is no form
 */
export async function formOf(request: Request): Promise<FormData> {
  try {
    return await request.formData();
  } catch {
    throw data("What was sent is not a form of this page.", { status: 400 });
  }
}

/** The fields of a form as text, one each. */
export async function fieldsOf(request: Request): Promise<Record<string, FormDataEntryValue>> {
  return Object.fromEntries(await formOf(request));
}
