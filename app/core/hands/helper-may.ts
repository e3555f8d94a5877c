import type { Crop } from "../crops";
import type { Helper, Skill } from "./hands-rules";

/** What a crop asks of whoever picks it; read from its tools, its group and its kind. */
export function skillsFor(crop: Crop): Skill[] {
  const tools = `${crop.pick.tool} ${crop.pick.kit.join(" ")}`;
  const asked: Skill[] = [];
  if (/knife|secateurs/.test(tools)) asked.push("knife");
  if (/fork|spade/.test(tools)) asked.push("digging");
  if (crop.group === "tree fruit") asked.push("ladder");
  if (/chilli/i.test(crop.id)) asked.push("chillies");
  return asked;
}

/** Whether a helper picks this crop: on the list, if there is one, and no skill missing. */
export function helperMay(helper: Helper, crop: Crop): boolean {
  const listed = helper.cropIds.length === 0 || helper.cropIds.includes(crop.id);
  return listed && skillsFor(crop).every((s) => helper.skills.includes(s));
}
