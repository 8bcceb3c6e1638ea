export { TaxonScreen as default } from '../../features/guide/TaxonScreen';
