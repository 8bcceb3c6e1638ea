export { TaxonScreen as default } from '../../screens/guide/TaxonScreen';
