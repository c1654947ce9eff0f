import { FiguresScreen } from '@/features/figures/FiguresScreen';

export default FiguresScreen;
