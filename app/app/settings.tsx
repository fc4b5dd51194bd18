export { SettingsScreen as default } from '../features/settings/SettingsScreen';
