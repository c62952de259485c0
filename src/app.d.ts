import type { Answer } from '$api';

declare global {
  namespace App {
    interface Locals {
      /** Names the request in the log. */
      requestId: string;
    }
    interface PageData {
      /** The brief whose steps the frame shows, on pages inside one. */
      brief?: Answer<'readBrief'>;
    }
  }
}

export {};
