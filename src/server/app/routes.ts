import { demoRoutes } from '$server/demo/routes';
import { briefRoutes } from '$server/features/briefs/routes';
import { stringRoutes } from '$server/features/strings/routes';
import { trialRoutes } from '$server/features/trials/routes';
import { comparingRoutes } from '$server/features/comparing/routes';
import { manualRoutes } from '$server/features/manual/routes';
import { harvestRoutes } from '$server/features/harvest/routes';
import { shortlistRoutes } from '$server/features/shortlist/routes';
import { watchRoutes } from '$server/features/watches/routes';
import { sourceRoutes } from '$server/features/sources/routes';
import { libraryRoutes } from '$server/features/library/routes';
import { importRoutes } from '$server/features/imports/routes';
import { exchangeRoutes } from '$server/features/exchange/routes';
import { operationRoutes } from '$server/features/operations/routes';
import { apiRouter } from '$server/http/api-router';

/** Every operation of the contract: one that no feature answers is an error of types. */
export const answerApi = apiRouter({
  ...briefRoutes,
  ...stringRoutes,
  ...trialRoutes,
  ...comparingRoutes,
  ...manualRoutes,
  ...harvestRoutes,
  ...shortlistRoutes,
  ...watchRoutes,
  ...sourceRoutes,
  ...libraryRoutes,
  ...importRoutes,
  ...exchangeRoutes,
  ...operationRoutes,
  ...demoRoutes
});
