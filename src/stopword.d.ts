declare module 'stopword' {
  export const dan: string[];
  export const deu: string[];
  export const eng: string[];
  export const fra: string[];
  export const nld: string[];
  export const nob: string[];
  export const swe: string[];
}
