import { resetDemo } from './demo';
import type { Handlers } from '$server/http/handlers';

export const demoRoutes = {
  resetDemo: () => resetDemo()
} satisfies Partial<Handlers>;
