import { say } from '@bright-sprout/words/app';
import Modal from 'react-bootstrap/Modal';

const SHORTCUTS = [
  ['?', say('thisList')],
  ['Tab', say('fromTheRibbonToTheSillTo')],
  ['← → ↑ ↓', say('onTheSillFromPotToPot')],
  [say('pageUpPageDown'), say('onTheRibbonAWeekOnThe')],
  ['Enter', say('onAPotChooseItInThe')],
  [say('enterOnTwoPotsInPlan'), say('swapThemEscapeLetsGo')],
] as const;

/** The keys, in a dialog. */
export default function ShortcutList({ isOpen, onClose }: { isOpen: boolean; onClose: () => void }) {
  return (
    <Modal show={isOpen} onHide={onClose} aria-labelledby="shortcuts">
      <Modal.Header closeButton>
        <Modal.Title id="shortcuts">{say('keys')}</Modal.Title>
      </Modal.Header>
      <Modal.Body>
        <dl className="shortcuts">
          {SHORTCUTS.map(([keys, meaning]) => (
            <div key={keys}>
              <dt>{keys}</dt>
              <dd>{meaning}</dd>
            </div>
          ))}
        </dl>
      </Modal.Body>
    </Modal>
  );
}
