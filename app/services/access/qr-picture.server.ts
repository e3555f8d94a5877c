import QRCode from "qrcode";

/** A text as a square for a phone's camera, as the source of an image. */
export async function qrPicture(text: string): Promise<string> {
  const svg = await QRCode.toString(text, { type: "svg", margin: 2, errorCorrectionLevel: "M" });
  return `data:image/svg+xml;base64,${Buffer.from(svg).toString("base64")}`;
}
