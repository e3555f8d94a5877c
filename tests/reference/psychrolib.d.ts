/** What the tests use of psychrolib, which ships no types. */
declare module "psychrolib" {
  const psychrolib: {
    SI: number;
    SetUnitSystem(system: number): void;
    GetTDewPointFromRelHum(airC: number, humidity: number): number;
    GetRelHumFromTDewPoint(airC: number, dewPointC: number): number;
    GetSatVapPres(airC: number): number;
  };
  export default psychrolib;
}
