import type { Answer } from '$server/api/contract';

declare global {
  namespace App {
    interface PageData {
      /** The brief whose steps the frame shows, on pages inside one. */
      brief?: Answer<'readBrief'>;
    }
  }
}

export {};
