declare module 'psychrolib' {
  const psychrolib: {
    readonly SI: number;
    SetUnitSystem(system: number): void;
    GetSatVapPres(celsius: number): number;
    GetVapPresFromRelHum(celsius: number, part: number): number;
    GetTDewPointFromRelHum(celsius: number, part: number): number;
  };
  export default psychrolib;
}
