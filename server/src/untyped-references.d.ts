// reference data of the tests that ships without types
declare module '@freesewing/models' {
  type Body = Record<string, number>;
  export const cisFemaleAdult28: Body;
  export const cisFemaleAdult36: Body;
  export const cisFemaleAdult46: Body;
  export const cisMaleAdult32: Body;
  export const cisMaleAdult40: Body;
  export const cisMaleAdult50: Body;
}
