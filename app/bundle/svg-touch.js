// Stands in for what makes a shape of react-native-svg answer to touch. No shape here does: buttons do, and
// they lie around drawings. See ../metro.config.js.
export default function SvgTouchableMixin() {
  throw new Error('not in this bundle');
}
