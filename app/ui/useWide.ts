import { useWindowDimensions } from 'react-native';

/** Whether there is room for a list and its detail side by side. */
export function useWide(): boolean {
  return useWindowDimensions().width >= 900;
}

/** Whether there is room for a real work place: list, work and inspector beside each other. */
export function useRoomy(): boolean {
  const { width, height } = useWindowDimensions();
  return width >= 1024 && height >= 500;
}
