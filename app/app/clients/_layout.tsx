import { usePathname } from 'expo-router';
import { SideBySide } from '../../features/frame/SideBySide';
import { ClientsList } from '../../features/clients/ClientsList';

export { Mishap as ErrorBoundary } from '../../features/frame/Mishap';
export default function ClientsLayout() {
  // A look that is fitted is worked on as a chart is, with the whole width.
  const whole = usePathname().endsWith('/fit');
  return <SideBySide list={whole ? null : <ClientsList />} />;
}
