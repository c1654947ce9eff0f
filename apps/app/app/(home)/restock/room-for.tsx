import { RoomForScreen } from '@/features/roomfor/RoomForScreen';

export default RoomForScreen;
