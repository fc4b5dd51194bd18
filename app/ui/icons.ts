export { default as TodayIcon } from 'lucide-react-native/icons/sun-medium';
export { default as ClientsIcon } from 'lucide-react-native/icons/user-round';
export { default as LooksIcon } from 'lucide-react-native/icons/scissors';
export { default as KitIcon } from 'lucide-react-native/icons/briefcase';
export { default as PartiesIcon } from 'lucide-react-native/icons/clock';
export { default as BackIcon } from 'lucide-react-native/icons/chevron-left';
export { default as SettingsIcon } from 'lucide-react-native/icons/sliders-horizontal';
