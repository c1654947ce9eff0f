/** Deep imports: the package's index alone is 1.6 MB. */
export { default as Search } from 'lucide-react-native/icons/search';
export { default as ChevronLeft } from 'lucide-react-native/icons/chevron-left';
export { default as Pencil } from 'lucide-react-native/icons/pencil-line';
export { default as Basket } from 'lucide-react-native/icons/shopping-basket';
export { default as Rounds } from 'lucide-react-native/icons/refresh-ccw-dot';
export { default as Nooks } from 'lucide-react-native/icons/layout-panel-top';
export { default as Plus } from 'lucide-react-native/icons/plus';
export { default as Minus } from 'lucide-react-native/icons/minus';
export { default as Undo } from 'lucide-react-native/icons/undo-2';
export { default as Close } from 'lucide-react-native/icons/x';
export { default as Settings } from 'lucide-react-native/icons/settings-2';
export { default as ZoomIn } from 'lucide-react-native/icons/zoom-in';
export { default as ZoomOut } from 'lucide-react-native/icons/zoom-out';
export { default as Share } from 'lucide-react-native/icons/share-2';
