import { DevicesScreen } from '@/features/devices/DevicesScreen';

export default DevicesScreen;
