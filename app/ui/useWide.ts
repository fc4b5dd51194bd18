import { useWindowDimensions } from 'react-native';

/** Whether there is room for a list and its detail side by side. */
export function useWide(): boolean {
  return useWindowDimensions().width >= 900;
}
