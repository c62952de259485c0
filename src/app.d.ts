import type { Answer } from '$api';

declare global {
  namespace App {
    interface Locals {
      /** Names the request in the log. */
      requestId: string;
      /** The path of the operation that was asked, with parameters in braces. */
      route?: string;
      /** The brief that was asked about. */
      brief?: string | undefined;
    }
    interface PageData {
      /** The brief whose steps the frame shows, on pages inside one. */
      brief?: Answer<'readBrief'>;
    }
  }
}

export {};
