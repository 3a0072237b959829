import { careRoutes } from '../care/index.ts';
import { classRoutes } from '../classes/index.ts';
import { comparisonRoutes } from '../comparison/index.ts';
import { importRoutes } from '../imports/index.ts';
import { journalRoutes } from '../journal/index.ts';
import { lessonRoutes } from '../lessons/index.ts';
import { liveRoutes } from '../live/index.ts';
import { accountRoutes } from '../accounts/index.ts';
import { networkRoutes } from '../network/index.ts';
import { inventoryRoutes } from '../inventory/index.ts';
import { photoRoutes } from '../photos/index.ts';
import { predictionRoutes } from '../predictions/index.ts';
import { planRoutes } from '../plans/index.ts';
import { readingRoutes } from '../readings/index.ts';
import { anyone, type HealthView, type Route } from '../shared/index.ts';
import { experimentRoutes } from '../experiments/index.ts';
import { sharingRoutes } from '../sharing/index.ts';
import { sowingRoutes } from '../sowing/index.ts';
import { studentRoutes } from '../student/index.ts';
import { uploadRoutes } from '../uploads/index.ts';

/** The health check. */
export const healthRoutes = {
  health: anyone.get('/health', 'Answers once the database does').answers<HealthView>(),
} as const;

/** Every operation of the API under its name. */
export const ROUTES = {
  ...healthRoutes,
  ...networkRoutes,
  ...accountRoutes,
  ...sharingRoutes,
  ...classRoutes,
  ...uploadRoutes,
  ...inventoryRoutes,
  ...planRoutes,
  ...sowingRoutes,
  ...readingRoutes,
  ...careRoutes,
  ...journalRoutes,
  ...photoRoutes,
  ...studentRoutes,
  ...liveRoutes,
  ...comparisonRoutes,
  ...predictionRoutes,
  ...lessonRoutes,
  ...importRoutes,
  ...experimentRoutes,
} as const satisfies Record<string, Route>;
