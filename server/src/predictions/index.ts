export { Conclusion, Prediction } from './prediction.entities.ts';
export { PredictionsModule } from './predictions.module.ts';
