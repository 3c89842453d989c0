import { useNavigate } from 'react-router';
import { useKeys, type KeyBinding } from '../../../state/keys.js';
import type { CaneEditing } from './useCaneEditing.js';

/** The keys of a cane; none while it is made at the bench. */
export function useCaneKeys(caneId: string, editing: CaneEditing, making: boolean, onTrueSize: () => void): void {
  const navigate = useNavigate();
  const { at, steps, choose, setAdding, move, copy, remove } = editing;
  const key = (name: string, does: string, run: () => void): KeyBinding => ({ key: name, does, run });
  const bindings = [
    key('ArrowLeft', 'The step before', () => {
      choose(Math.max(0, at - 1));
    }),
    key('ArrowRight', 'The next step', () => {
      choose(Math.min(steps.length - 1, at + 1));
    }),
    key('a', 'Add a step after this one', () => {
      setAdding(true);
    }),
    key(',', 'Move the step earlier', () => {
      move(-1);
    }),
    key('.', 'Move the step later', () => {
      move(1);
    }),
    key('y', 'Copy the step', copy),
    key('Delete', 'Take the step out', remove),
    key('t', 'The face at true size', onTrueSize),
    key('b', 'To the bench: make it', () => {
      void navigate(`/canes/${caneId}/make`);
    }),
  ];
  useKeys('This cane', making ? [] : bindings);
}
