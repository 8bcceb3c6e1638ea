export { wholeFungus } from './fungus';
