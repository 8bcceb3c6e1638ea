import aconitumLycoctonum from '../data/taxa/aconitum-lycoctonum.json';
import aconitumNapellus from '../data/taxa/aconitum-napellus.json';
import actaeaSpicata from '../data/taxa/actaea-spicata.json';
import adenostylesAlliariae from '../data/taxa/adenostyles-alliariae.json';
import aegopodiumPodagraria from '../data/taxa/aegopodium-podagraria.json';
import aesculusHippocastanum from '../data/taxa/aesculus-hippocastanum.json';
import aethusaCynapium from '../data/taxa/aethusa-cynapium.json';
import agaricusCampestris from '../data/taxa/agaricus-campestris.json';
import agaricusXanthodermus from '../data/taxa/agaricus-xanthodermus.json';
import alliariaPetiolata from '../data/taxa/alliaria-petiolata.json';
import alliumUrsinum from '../data/taxa/allium-ursinum.json';
import amanitaMuscaria from '../data/taxa/amanita-muscaria.json';
import amanitaPantherina from '../data/taxa/amanita-pantherina.json';
import amanitaPhalloides from '../data/taxa/amanita-phalloides.json';
import amanitaVerna from '../data/taxa/amanita-verna.json';
import amanitaVirosa from '../data/taxa/amanita-virosa.json';
import angelicaSylvestris from '../data/taxa/angelica-sylvestris.json';
import anthemisCotula from '../data/taxa/anthemis-cotula.json';
import armillariaMellea from '../data/taxa/armillaria-mellea.json';
import arumMaculatum from '../data/taxa/arum-maculatum.json';
import atropaBellaDonna from '../data/taxa/atropa-bella-donna.json';
import berulaErecta from '../data/taxa/berula-erecta.json';
import blitumBonusHenricus from '../data/taxa/blitum-bonus-henricus.json';
import boletusEdulis from '../data/taxa/boletus-edulis.json';
import bryoniaDioica from '../data/taxa/bryonia-dioica.json';
import caloboletusCalopus from '../data/taxa/caloboletus-calopus.json';
import caloboletusRadicans from '../data/taxa/caloboletus-radicans.json';
import calocybeGambosa from '../data/taxa/calocybe-gambosa.json';
import calvatiaGigantea from '../data/taxa/calvatia-gigantea.json';
import cantharellusCibarius from '../data/taxa/cantharellus-cibarius.json';
import carumCarvi from '../data/taxa/carum-carvi.json';
import castaneaSativa from '../data/taxa/castanea-sativa.json';
import chaerophyllumTemulum from '../data/taxa/chaerophyllum-temulum.json';
import chlorophyllumBrunneum from '../data/taxa/chlorophyllum-brunneum.json';
import cicutaVirosa from '../data/taxa/cicuta-virosa.json';
import clitocybePhyllophila from '../data/taxa/clitocybe-phyllophila.json';
import clitocybeRivulosa from '../data/taxa/clitocybe-rivulosa.json';
import colchicumAutumnale from '../data/taxa/colchicum-autumnale.json';
import coniumMaculatum from '../data/taxa/conium-maculatum.json';
import convallariaMajalis from '../data/taxa/convallaria-majalis.json';
import coprinopsisAtramentaria from '../data/taxa/coprinopsis-atramentaria.json';
import coprinusComatus from '../data/taxa/coprinus-comatus.json';
import cortinariusOrellanus from '../data/taxa/cortinarius-orellanus.json';
import cortinariusRubellus from '../data/taxa/cortinarius-rubellus.json';
import cortinariusTraganus from '../data/taxa/cortinarius-traganus.json';
import corylusAvellana from '../data/taxa/corylus-avellana.json';
import crataegusMonogyna from '../data/taxa/crataegus-monogyna.json';
import craterellusCornucopioides from '../data/taxa/craterellus-cornucopioides.json';
import craterellusTubaeformis from '../data/taxa/craterellus-tubaeformis.json';
import cynoglossumOfficinale from '../data/taxa/cynoglossum-officinale.json';
import daphneMezereum from '../data/taxa/daphne-mezereum.json';
import daturaStramonium from '../data/taxa/datura-stramonium.json';
import digitalisGrandiflora from '../data/taxa/digitalis-grandiflora.json';
import digitalisPurpurea from '../data/taxa/digitalis-purpurea.json';
import dioscoreaCommunis from '../data/taxa/dioscorea-communis.json';
import entolomaRhodopolium from '../data/taxa/entoloma-rhodopolium.json';
import entolomaSinuatum from '../data/taxa/entoloma-sinuatum.json';
import entolomaVernum from '../data/taxa/entoloma-vernum.json';
import filipendulaUlmaria from '../data/taxa/filipendula-ulmaria.json';
import fragariaVesca from '../data/taxa/fragaria-vesca.json';
import frangulaAlnus from '../data/taxa/frangula-alnus.json';
import galerinaMarginata from '../data/taxa/galerina-marginata.json';
import galiumOdoratum from '../data/taxa/galium-odoratum.json';
import gentianaLutea from '../data/taxa/gentiana-lutea.json';
import gymnopilusJunonius from '../data/taxa/gymnopilus-junonius.json';
import gyromitraEsculenta from '../data/taxa/gyromitra-esculenta.json';
import gyromitraGigas from '../data/taxa/gyromitra-gigas.json';
import gyromitraInfula from '../data/taxa/gyromitra-infula.json';
import hebelomaSinapizans from '../data/taxa/hebeloma-sinapizans.json';
import helleborusFoetidus from '../data/taxa/helleborus-foetidus.json';
import helosciadiumNodiflorum from '../data/taxa/helosciadium-nodiflorum.json';
import heracleumMantegazzianum from '../data/taxa/heracleum-mantegazzianum.json';
import heracleumSphondylium from '../data/taxa/heracleum-sphondylium.json';
import hydnumRepandum from '../data/taxa/hydnum-repandum.json';
import hygrophoropsisAurantiaca from '../data/taxa/hygrophoropsis-aurantiaca.json';
import hyoscyamusNiger from '../data/taxa/hyoscyamus-niger.json';
import hypericumPerforatum from '../data/taxa/hypericum-perforatum.json';
import hypholomaFasciculare from '../data/taxa/hypholoma-fasciculare.json';
import imleriaBadia from '../data/taxa/imleria-badia.json';
import inocybeGeophylla from '../data/taxa/inocybe-geophylla.json';
import inospermaErubescens from '../data/taxa/inosperma-erubescens.json';
import jacobaeaAlpina from '../data/taxa/jacobaea-alpina.json';
import jacobaeaVulgaris from '../data/taxa/jacobaea-vulgaris.json';
import juniperusCommunis from '../data/taxa/juniperus-communis.json';
import juniperusSabina from '../data/taxa/juniperus-sabina.json';
import kuehneromycesMutabilis from '../data/taxa/kuehneromyces-mutabilis.json';
import lactariusDeliciosus from '../data/taxa/lactarius-deliciosus.json';
import lactariusHelvus from '../data/taxa/lactarius-helvus.json';
import lactariusTorminosus from '../data/taxa/lactarius-torminosus.json';
import lepiotaBrunneoincarnata from '../data/taxa/lepiota-brunneoincarnata.json';
import lepiotaCastanea from '../data/taxa/lepiota-castanea.json';
import lepiotaSubincarnata from '../data/taxa/lepiota-subincarnata.json';
import lepistaNuda from '../data/taxa/lepista-nuda.json';
import leucojumVernum from '../data/taxa/leucojum-vernum.json';
import ligustrumVulgare from '../data/taxa/ligustrum-vulgare.json';
import loniceraNigra from '../data/taxa/lonicera-nigra.json';
import loniceraXylosteum from '../data/taxa/lonicera-xylosteum.json';
import lycoperdonPerlatum from '../data/taxa/lycoperdon-perlatum.json';
import macrolepiotaProcera from '../data/taxa/macrolepiota-procera.json';
import maianthemumBifolium from '../data/taxa/maianthemum-bifolium.json';
import marasmiusOreades from '../data/taxa/marasmius-oreades.json';
import matricariaChamomilla from '../data/taxa/matricaria-chamomilla.json';
import mercurialisPerennis from '../data/taxa/mercurialis-perennis.json';
import morchellaEsculenta from '../data/taxa/morchella-esculenta.json';
import mycenaPura from '../data/taxa/mycena-pura.json';
import narcissusPseudonarcissus from '../data/taxa/narcissus-pseudonarcissus.json';
import nasturtiumOfficinale from '../data/taxa/nasturtium-officinale.json';
import oenantheAquatica from '../data/taxa/oenanthe-aquatica.json';
import oenantheCrocata from '../data/taxa/oenanthe-crocata.json';
import omphalotusOlearius from '../data/taxa/omphalotus-olearius.json';
import origanumVulgare from '../data/taxa/origanum-vulgare.json';
import parisQuadrifolia from '../data/taxa/paris-quadrifolia.json';
import pastinacaSativa from '../data/taxa/pastinaca-sativa.json';
import paxillusInvolutus from '../data/taxa/paxillus-involutus.json';
import petasitesHybridus from '../data/taxa/petasites-hybridus.json';
import pholiotaSquarrosa from '../data/taxa/pholiota-squarrosa.json';
import pleurocybellaPorrigens from '../data/taxa/pleurocybella-porrigens.json';
import pleurotusOstreatus from '../data/taxa/pleurotus-ostreatus.json';
import polygonatumMultiflorum from '../data/taxa/polygonatum-multiflorum.json';
import prunusSpinosa from '../data/taxa/prunus-spinosa.json';
import ranunculusSceleratus from '../data/taxa/ranunculus-sceleratus.json';
import rhamnusCathartica from '../data/taxa/rhamnus-cathartica.json';
import rubroboletusLegaliae from '../data/taxa/rubroboletus-legaliae.json';
import rubroboletusSatanas from '../data/taxa/rubroboletus-satanas.json';
import sambucusEbulus from '../data/taxa/sambucus-ebulus.json';
import sarcosphaeraCoronaria from '../data/taxa/sarcosphaera-coronaria.json';
import sclerodermaCitrinum from '../data/taxa/scleroderma-citrinum.json';
import solanumDulcamara from '../data/taxa/solanum-dulcamara.json';
import solanumNigrum from '../data/taxa/solanum-nigrum.json';
import sorbusAucuparia from '../data/taxa/sorbus-aucuparia.json';
import symphytumOfficinale from '../data/taxa/symphytum-officinale.json';
import tapinellaPanuoides from '../data/taxa/tapinella-panuoides.json';
import taxusBaccata from '../data/taxa/taxus-baccata.json';
import tricholomaPardinum from '../data/taxa/tricholoma-pardinum.json';
import tripleurospermumInodorum from '../data/taxa/tripleurospermum-inodorum.json';
import tylopilusFelleus from '../data/taxa/tylopilus-felleus.json';
import vacciniumMyrtillus from '../data/taxa/vaccinium-myrtillus.json';
import vacciniumUliginosum from '../data/taxa/vaccinium-uliginosum.json';
import vacciniumVitisIdaea from '../data/taxa/vaccinium-vitis-idaea.json';
import veratrumAlbum from '../data/taxa/veratrum-album.json';
import verpaBohemica from '../data/taxa/verpa-bohemica.json';

/** Every taxon of the guide that ships, as its file says. */
export const taxa: readonly unknown[] = [
  cantharellusCibarius,
  craterellusTubaeformis,
  craterellusCornucopioides,
  hydnumRepandum,
  boletusEdulis,
  imleriaBadia,
  tylopilusFelleus,
  rubroboletusSatanas,
  omphalotusOlearius,
  hygrophoropsisAurantiaca,
  cortinariusRubellus,
  cortinariusOrellanus,
  cortinariusTraganus,
  lepiotaBrunneoincarnata,
  amanitaPhalloides,
  amanitaVirosa,
  amanitaPantherina,
  agaricusXanthodermus,
  chlorophyllumBrunneum,
  entolomaSinuatum,
  galerinaMarginata,
  hypholomaFasciculare,
  inospermaErubescens,
  lactariusTorminosus,
  macrolepiotaProcera,
  agaricusCampestris,
  kuehneromycesMutabilis,
  armillariaMellea,
  calocybeGambosa,
  lactariusDeliciosus,
  lepistaNuda,
  coprinopsisAtramentaria,
  coprinusComatus,
  pleurotusOstreatus,
  pleurocybellaPorrigens,
  lycoperdonPerlatum,
  calvatiaGigantea,
  sclerodermaCitrinum,
  morchellaEsculenta,
  verpaBohemica,
  gyromitraEsculenta,
  atropaBellaDonna,
  digitalisPurpurea,
  digitalisGrandiflora,
  gentianaLutea,
  nasturtiumOfficinale,
  hypericumPerforatum,
  galiumOdoratum,
  blitumBonusHenricus,
  symphytumOfficinale,
  filipendulaUlmaria,
  fragariaVesca,
  alliumUrsinum,
  convallariaMajalis,
  colchicumAutumnale,
  arumMaculatum,
  veratrumAlbum,
  parisQuadrifolia,
  jacobaeaVulgaris,
  matricariaChamomilla,
  anthemisCotula,
  tripleurospermumInodorum,
  aegopodiumPodagraria,
  coniumMaculatum,
  aethusaCynapium,
  chaerophyllumTemulum,
  cicutaVirosa,
  oenantheCrocata,
  heracleumMantegazzianum,
  helosciadiumNodiflorum,
  carumCarvi,
  angelicaSylvestris,
  vacciniumMyrtillus,
  vacciniumVitisIdaea,
  vacciniumUliginosum,
  daphneMezereum,
  loniceraXylosteum,
  frangulaAlnus,
  rhamnusCathartica,
  ligustrumVulgare,
  aesculusHippocastanum,
  castaneaSativa,
  corylusAvellana,
  prunusSpinosa,
  juniperusCommunis,
  juniperusSabina,
  taxusBaccata,
  paxillusInvolutus,
  amanitaVerna,
  amanitaMuscaria,
  lepiotaSubincarnata,
  lepiotaCastanea,
  clitocybeRivulosa,
  clitocybePhyllophila,
  gyromitraGigas,
  gyromitraInfula,
  sarcosphaeraCoronaria,
  inocybeGeophylla,
  mycenaPura,
  hebelomaSinapizans,
  caloboletusRadicans,
  caloboletusCalopus,
  rubroboletusLegaliae,
  gymnopilusJunonius,
  pholiotaSquarrosa,
  entolomaRhodopolium,
  entolomaVernum,
  tapinellaPanuoides,
  lactariusHelvus,
  tricholomaPardinum,
  marasmiusOreades,
  aconitumNapellus,
  aconitumLycoctonum,
  jacobaeaAlpina,
  daturaStramonium,
  hyoscyamusNiger,
  solanumNigrum,
  solanumDulcamara,
  berulaErecta,
  ranunculusSceleratus,
  helleborusFoetidus,
  mercurialisPerennis,
  actaeaSpicata,
  narcissusPseudonarcissus,
  leucojumVernum,
  polygonatumMultiflorum,
  maianthemumBifolium,
  heracleumSphondylium,
  pastinacaSativa,
  oenantheAquatica,
  sambucusEbulus,
  cynoglossumOfficinale,
  loniceraNigra,
  petasitesHybridus,
  adenostylesAlliariae,
  bryoniaDioica,
  dioscoreaCommunis,
  alliariaPetiolata,
  origanumVulgare,
  crataegusMonogyna,
  sorbusAucuparia,
];
