import type {
  ClassOfExperimentRequest,
  DescriptionRequest,
  FinishRequest,
  LayoutRequest,
  PlanRequest,
  RunRequest,
  StartRequest,
  UnitRequest,
} from './plan-request.ts';
import type { TaskRequest, TemplateRequest, TemplateView } from './plan-extras.ts';
import type { ExperimentView } from './experiment-view.ts';
import { change, own, see, teacher } from '../shared/index.ts';

/** Plans. */
export const planRoutes = {
  templates: teacher
    .get('/templates', 'Plans to start from: those that ship and the teacher’s own')
    .answers<TemplateView[]>(),
  saveTemplate: own
    .put(
      '/experiments/:experimentId/templates/:newTemplateId',
      'Keep the plan of an experiment as a template, without its data',
    )
    .takes<TemplateRequest>('TemplateRequest')
    .answers<TemplateView>(),
  removeTemplate: own.remove('/templates/:templateId', 'Take a template away'),
  copy: see
    .put(
      '/experiments/:experimentId/copies/:newExperimentId',
      'Start a draft with the plan of another experiment, without its data',
    )
    .answers<ExperimentView>(),
  saveTask: change
    .put('/experiments/:experimentId/tasks/:taskKey', 'Move or tick off a task of the calendar, or add one')
    .takes<TaskRequest>('TaskRequest')
    .answers<ExperimentView>(),
  giveToClass: change
    .put('/experiments/:experimentId/class', 'Say which class runs it and which team has which unit')
    .takes<ClassOfExperimentRequest>('ClassOfExperimentRequest', 131_072)
    .answers<ExperimentView>(),
  addUnit: change
    .put('/experiments/:experimentId/units/:newUnitId', 'Add a unit in a free place after sowing')
    .takes<UnitRequest>('UnitRequest')
    .answers<ExperimentView>(),
  calendar: see
    .get('/experiments/:experimentId/calendar.ics', 'The calendar as iCalendar, with ids that stay the same')
    .sends('text/calendar'),
  start: teacher
    .put('/experiments/:newExperimentId', 'Start a draft under an id made on the device')
    .takes<StartRequest>('StartRequest')
    .answers<ExperimentView>(),
  experiment: see.get('/experiments/:experimentId', 'One experiment with its plan').answers<ExperimentView>(),
  savePlan: change
    .put('/experiments/:experimentId/plan', 'Change the plan; treatments and units of a draft follow')
    .takes<PlanRequest>('PlanRequest', 262_144)
    .answers<ExperimentView>(),
  describe: change
    .put(
      '/experiments/:experimentId/description',
      'Change the question, the prediction or the lesson date at any time',
    )
    .takes<DescriptionRequest>('DescriptionRequest')
    .answers<ExperimentView>(),
  arrange: change
    .put('/experiments/:experimentId/layout', 'Arrange the treatments of a draft by hand')
    .takes<LayoutRequest>('LayoutRequest', 131_072)
    .answers<ExperimentView>(),
  finish: change
    .put('/experiments/:experimentId/finish', 'Close an experiment, or open it again')
    .takes<FinishRequest>('FinishRequest')
    .answers<ExperimentView>(),
  discard: own.remove('/experiments/:experimentId', 'Take an experiment off the shelf; it can be put back'),
  putBack: own.post('/experiments/:experimentId/return', 'Put an experiment back on the shelf'),
  runInClass: own
    .put(
      '/experiments/:experimentId/runs/:newExperimentId',
      'Let another class run the same plan: a copy that belongs to the same study',
    )
    .takes<RunRequest>('RunRequest')
    .answers<ExperimentView>(),
} as const;
