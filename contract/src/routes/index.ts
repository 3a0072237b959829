import { careRoutes } from '../care/index.ts';
import { classRoutes } from '../classes/index.ts';
import { compareRoutes } from '../compare/index.ts';
import { exchangeRoutes } from '../exchange/index.ts';
import { journalRoutes } from '../journal/index.ts';
import { liveRoutes } from '../live/index.ts';
import { peopleRoutes } from '../people/index.ts';
import { planRoutes } from '../plan/index.ts';
import { recordRoutes } from '../record/index.ts';
import { type HealthView, type Route, json, route } from '../shared/index.ts';
import { shelfRoutes } from '../shelf/index.ts';
import { sowRoutes } from '../sow/index.ts';
import { studentRoutes } from '../student/index.ts';
import { uploadRoutes } from '../uploads/index.ts';

/** The health check. */
export const healthRoutes = {
  health: route({
    method: 'GET',
    path: '/health',
    summary: 'Answers once the database does',
    access: 'anyone',
    answer: json<HealthView>(),
  }),
} as const;

/** Every operation of the API under its name. */
export const ROUTES = {
  ...healthRoutes,
  ...peopleRoutes,
  ...classRoutes,
  ...uploadRoutes,
  ...planRoutes,
  ...sowRoutes,
  ...recordRoutes,
  ...careRoutes,
  ...journalRoutes,
  ...studentRoutes,
  ...liveRoutes,
  ...compareRoutes,
  ...exchangeRoutes,
  ...shelfRoutes,
} as const satisfies Record<string, Route>;
