/** A forecast service or station gave nothing that can be used; the message is a sentence for the gardener. */
export class WeatherUnreachable extends Error {
  override name = "WeatherUnreachable";
}
