import { useNavigate } from 'react-router';
import { useKeys } from '../state/keys.js';
import { useView } from '../state/view.js';
import { redo, undo } from '../wire/save.js';
import { STATIONS } from './stations.js';

/** The keys that work at every station. */
export function useEverywhere(showKeys: () => void): void {
  const { turnUnits, turnLamp } = useView();
  const navigate = useNavigate();
  useKeys('Everywhere', [
    ...STATIONS.map(([path, name], i) => ({
      key: String(i + 1),
      does: name,
      run: () => {
        void navigate(`/${path}`);
      },
    })),
    {
      key: 'z',
      does: 'Undo',
      run: () => {
        void undo();
      },
    },
    {
      key: 'Z',
      does: 'Do again',
      run: () => {
        void redo();
      },
    },
    { key: 'u', does: 'Millimetres or inches', run: turnUnits },
    { key: 'l', does: 'Lamp check: only lightness', run: turnLamp },
    {
      key: '/',
      does: 'Find',
      run: () => {
        document.querySelector<HTMLInputElement>('[data-find]')?.focus();
      },
    },
    {
      key: 'Y',
      does: 'Copies of your data',
      run: () => {
        void navigate('/copies');
      },
    },
    {
      key: '?',
      does: 'This list',
      run: () => {
        showKeys();
      },
    },
  ]);
}
