import { parseGuide, type Guide } from '@pause/core';
import head from '../data/guide.json';
import characters from '../data/characters.json';
import cantharellusCibarius from '../data/taxa/cantharellus-cibarius.json';
import craterellusTubaeformis from '../data/taxa/craterellus-tubaeformis.json';
import craterellusCornucopioides from '../data/taxa/craterellus-cornucopioides.json';
import hydnumRepandum from '../data/taxa/hydnum-repandum.json';
import boletusEdulis from '../data/taxa/boletus-edulis.json';
import imleriaBadia from '../data/taxa/imleria-badia.json';
import tylopilusFelleus from '../data/taxa/tylopilus-felleus.json';
import rubroboletusSatanas from '../data/taxa/rubroboletus-satanas.json';
import omphalotusOlearius from '../data/taxa/omphalotus-olearius.json';
import hygrophoropsisAurantiaca from '../data/taxa/hygrophoropsis-aurantiaca.json';
import cortinariusRubellus from '../data/taxa/cortinarius-rubellus.json';
import cortinariusOrellanus from '../data/taxa/cortinarius-orellanus.json';
import cortinariusTraganus from '../data/taxa/cortinarius-traganus.json';
import lepiotaBrunneoincarnata from '../data/taxa/lepiota-brunneoincarnata.json';
import amanitaPhalloides from '../data/taxa/amanita-phalloides.json';
import amanitaVirosa from '../data/taxa/amanita-virosa.json';
import amanitaPantherina from '../data/taxa/amanita-pantherina.json';
import agaricusXanthodermus from '../data/taxa/agaricus-xanthodermus.json';
import chlorophyllumBrunneum from '../data/taxa/chlorophyllum-brunneum.json';
import entolomaSinuatum from '../data/taxa/entoloma-sinuatum.json';
import galerinaMarginata from '../data/taxa/galerina-marginata.json';
import hypholomaFasciculare from '../data/taxa/hypholoma-fasciculare.json';
import inospermaErubescens from '../data/taxa/inosperma-erubescens.json';
import lactariusTorminosus from '../data/taxa/lactarius-torminosus.json';
import macrolepiotaProcera from '../data/taxa/macrolepiota-procera.json';
import agaricusCampestris from '../data/taxa/agaricus-campestris.json';
import kuehneromycesMutabilis from '../data/taxa/kuehneromyces-mutabilis.json';
import armillariaMellea from '../data/taxa/armillaria-mellea.json';
import calocybeGambosa from '../data/taxa/calocybe-gambosa.json';
import lactariusDeliciosus from '../data/taxa/lactarius-deliciosus.json';
import lepistaNuda from '../data/taxa/lepista-nuda.json';
import coprinopsisAtramentaria from '../data/taxa/coprinopsis-atramentaria.json';
import coprinusComatus from '../data/taxa/coprinus-comatus.json';
import pleurotusOstreatus from '../data/taxa/pleurotus-ostreatus.json';
import pleurocybellaPorrigens from '../data/taxa/pleurocybella-porrigens.json';
import lycoperdonPerlatum from '../data/taxa/lycoperdon-perlatum.json';
import calvatiaGigantea from '../data/taxa/calvatia-gigantea.json';
import sclerodermaCitrinum from '../data/taxa/scleroderma-citrinum.json';
import morchellaEsculenta from '../data/taxa/morchella-esculenta.json';
import verpaBohemica from '../data/taxa/verpa-bohemica.json';
import gyromitraEsculenta from '../data/taxa/gyromitra-esculenta.json';
import atropaBellaDonna from '../data/taxa/atropa-bella-donna.json';
import digitalisPurpurea from '../data/taxa/digitalis-purpurea.json';
import digitalisGrandiflora from '../data/taxa/digitalis-grandiflora.json';
import gentianaLutea from '../data/taxa/gentiana-lutea.json';
import nasturtiumOfficinale from '../data/taxa/nasturtium-officinale.json';
import hypericumPerforatum from '../data/taxa/hypericum-perforatum.json';
import galiumOdoratum from '../data/taxa/galium-odoratum.json';
import blitumBonusHenricus from '../data/taxa/blitum-bonus-henricus.json';
import symphytumOfficinale from '../data/taxa/symphytum-officinale.json';
import filipendulaUlmaria from '../data/taxa/filipendula-ulmaria.json';
import fragariaVesca from '../data/taxa/fragaria-vesca.json';
import alliumUrsinum from '../data/taxa/allium-ursinum.json';
import convallariaMajalis from '../data/taxa/convallaria-majalis.json';
import colchicumAutumnale from '../data/taxa/colchicum-autumnale.json';
import arumMaculatum from '../data/taxa/arum-maculatum.json';
import veratrumAlbum from '../data/taxa/veratrum-album.json';
import parisQuadrifolia from '../data/taxa/paris-quadrifolia.json';
import jacobaeaVulgaris from '../data/taxa/jacobaea-vulgaris.json';
import matricariaChamomilla from '../data/taxa/matricaria-chamomilla.json';
import anthemisCotula from '../data/taxa/anthemis-cotula.json';
import tripleurospermumInodorum from '../data/taxa/tripleurospermum-inodorum.json';
import aegopodiumPodagraria from '../data/taxa/aegopodium-podagraria.json';
import coniumMaculatum from '../data/taxa/conium-maculatum.json';
import aethusaCynapium from '../data/taxa/aethusa-cynapium.json';
import chaerophyllumTemulum from '../data/taxa/chaerophyllum-temulum.json';
import cicutaVirosa from '../data/taxa/cicuta-virosa.json';
import oenantheCrocata from '../data/taxa/oenanthe-crocata.json';
import heracleumMantegazzianum from '../data/taxa/heracleum-mantegazzianum.json';
import helosciadiumNodiflorum from '../data/taxa/helosciadium-nodiflorum.json';
import carumCarvi from '../data/taxa/carum-carvi.json';
import angelicaSylvestris from '../data/taxa/angelica-sylvestris.json';
import vacciniumMyrtillus from '../data/taxa/vaccinium-myrtillus.json';
import vacciniumVitisIdaea from '../data/taxa/vaccinium-vitis-idaea.json';
import vacciniumUliginosum from '../data/taxa/vaccinium-uliginosum.json';
import daphneMezereum from '../data/taxa/daphne-mezereum.json';
import loniceraXylosteum from '../data/taxa/lonicera-xylosteum.json';
import frangulaAlnus from '../data/taxa/frangula-alnus.json';
import rhamnusCathartica from '../data/taxa/rhamnus-cathartica.json';
import ligustrumVulgare from '../data/taxa/ligustrum-vulgare.json';
import aesculusHippocastanum from '../data/taxa/aesculus-hippocastanum.json';
import castaneaSativa from '../data/taxa/castanea-sativa.json';
import corylusAvellana from '../data/taxa/corylus-avellana.json';
import prunusSpinosa from '../data/taxa/prunus-spinosa.json';
import juniperusCommunis from '../data/taxa/juniperus-communis.json';
import juniperusSabina from '../data/taxa/juniperus-sabina.json';
import taxusBaccata from '../data/taxa/taxus-baccata.json';

const taxa: readonly unknown[] = [
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
];

/**
 * The guide that ships, parsed. General knowledge, reviewed by no local expert, and it says so.
 *
 * @throws GuideError naming taxon, character and reason, if one of its files holds a mistake
 */
export function shippedGuide(): Guide {
  return parseGuide({ ...head, characters, taxa });
}
