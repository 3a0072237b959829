import { useEffect, useState } from 'react';
import Modal from 'react-bootstrap/Modal';

const SHORTCUTS = [
  ['?', 'this list'],
  ['Tab', 'from the ribbon to the sill to the panel'],
  ['← → ↑ ↓', 'on the sill: from pot to pot; on the ribbon: from day to day; on the ruler: one mark'],
  ['Page Up, Page Down', 'on the ribbon: a week; on the ruler: five marks'],
  ['Enter', 'on a pot: choose it; in the height: keep it and go on to the next pot'],
  ['Enter on two pots in Plan', 'swap them; Escape lets go'],
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
        <Modal.Title id="shortcuts">Keys</Modal.Title>
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
