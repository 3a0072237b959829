import { say } from '@bright-sprout/words/app';
import { useEffect, useState } from 'react';
import Modal from 'react-bootstrap/Modal';

const SHORTCUTS = [
  ['?', say('thisList')],
  ['Tab', say('fromTheRibbonToTheSillTo')],
  ['← → ↑ ↓', say('onTheSillFromPotToPot')],
  [say('pageUpPageDown'), say('onTheRibbonAWeekOnThe')],
  ['Enter', say('onAPotChooseItInThe')],
  [say('enterOnTwoPotsInPlan'), say('swapThemEscapeLetsGo')],
] as const;

/** The keys, shown on `?` when nothing is being typed. */
export function ShortcutHelp() {
  const [isOpen, setIsOpen] = useState(false);
  useEffect(() => {
    const listen = (event: KeyboardEvent): void => {
      const isTyping = event.target instanceof HTMLElement && event.target.matches('input, textarea, select');
      if (event.key === '?' && !isTyping) setIsOpen(true);
    };
    window.addEventListener('keydown', listen);
    return () => window.removeEventListener('keydown', listen);
  }, []);
  return (
    <Modal show={isOpen} onHide={() => setIsOpen(false)} aria-labelledby="shortcuts">
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
