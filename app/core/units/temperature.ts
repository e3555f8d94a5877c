/** °C from °F. */
export function celsiusFrom(fahrenheit: number): number {
  return ((fahrenheit - 32) * 5) / 9;
}
