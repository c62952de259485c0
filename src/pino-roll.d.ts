declare module 'pino-roll' {
  import type { DestinationStream } from 'pino';
  export default function build(options: Record<string, unknown>): Promise<DestinationStream>;
}
