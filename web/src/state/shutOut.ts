import { create } from 'zustand';

/** Whether this device was shut out meanwhile: nothing that it asks is answered any more. */
export const useShutOut = create<{ readonly out: boolean }>()(() => ({ out: false }));

export const tellShutOut = (): void => {
  useShutOut.setState({ out: true });
};
