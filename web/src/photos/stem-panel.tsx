import { say } from '@bright-sprout/words/photos';
import type { PhotoSummary } from '@bright-sprout/contract/photos';
import type { UnitView } from '@bright-sprout/contract/plans';
import { useState } from 'react';
import { ForWhoMayChange, useExperiment } from '../shared/experiment/index.ts';
import { ChoiceSelect } from './choice-select.tsx';
import { DeletePicture } from './delete-picture.tsx';
import { PotSelect } from './pot-select.tsx';
import { StemMarks } from './stem-marks.tsx';

/** What is measured along a line of marks. */
const ALONG: Readonly<Record<string, string>> = {
  height: say('measuresHeight'),
  'root length': say('measuresRootLength'),
  'root direction': say('measuresRootDirection'),
};

/** What is measured along the stem or the root of each plant that a photo from the side shows. */
export function StemPanel({ photo, pots }: { photo: PhotoSummary; pots: readonly UnitView[] }) {
  const { experiment } = useExperiment();
  const variables = experiment.variables.filter(({ name }) => name in ALONG);
  const [unitId, setUnitId] = useState(photo.unitId ?? pots[0]?.id ?? '');
  const [variableId, setVariableId] = useState(variables[0]?.id);
  const variable = variables.find(({ id }) => id === variableId);
  const unit = pots.find(({ id }) => id === unitId);
  // A photo of a plant in a plan that reads no length can still be looked at.
  return (
    <StemMarks
      key={`${unitId} ${variableId}`}
      photo={photo}
      unit={unit}
      variable={variable}
      choices={
        <>
          <PotSelect pots={pots} chosenId={unitId} onChoose={setUnitId} />
          {variables.length > 1 && (
            <ChoiceSelect
              name={say('whatIsMeasured')}
              choices={variables.map(({ id, name }) => ({ id, name: ALONG[name] ?? name }))}
              chosenId={variableId}
              onChoose={setVariableId}
            />
          )}
          <p className="quiet">{say('severalInOne')}</p>
        </>
      }
      foot={
        <ForWhoMayChange>
          <DeletePicture photo={photo} />
        </ForWhoMayChange>
      }
    />
  );
}
