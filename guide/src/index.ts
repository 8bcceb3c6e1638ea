import { parseGuide, type Guide } from '@pause/core';
import head from '../data/guide.json';
import characters from '../data/characters.json';
import cantharellusCibarius from '../data/taxa/cantharellus-cibarius.json';
import omphalotusOlearius from '../data/taxa/omphalotus-olearius.json';
import hygrophoropsisAurantiaca from '../data/taxa/hygrophoropsis-aurantiaca.json';
import cortinariusRubellus from '../data/taxa/cortinarius-rubellus.json';
import boletusEdulis from '../data/taxa/boletus-edulis.json';
import tylopilusFelleus from '../data/taxa/tylopilus-felleus.json';
import rubroboletusSatanas from '../data/taxa/rubroboletus-satanas.json';
import hydnumRepandum from '../data/taxa/hydnum-repandum.json';
import vacciniumMyrtillus from '../data/taxa/vaccinium-myrtillus.json';
import atropaBellaDonna from '../data/taxa/atropa-bella-donna.json';
import parisQuadrifolia from '../data/taxa/paris-quadrifolia.json';
import gentianaLutea from '../data/taxa/gentiana-lutea.json';
import veratrumAlbum from '../data/taxa/veratrum-album.json';
import aegopodiumPodagraria from '../data/taxa/aegopodium-podagraria.json';
import coniumMaculatum from '../data/taxa/conium-maculatum.json';
import aethusaCynapium from '../data/taxa/aethusa-cynapium.json';

const taxa: readonly unknown[] = [
  cantharellusCibarius,
  omphalotusOlearius,
  hygrophoropsisAurantiaca,
  cortinariusRubellus,
  boletusEdulis,
  tylopilusFelleus,
  rubroboletusSatanas,
  hydnumRepandum,
  vacciniumMyrtillus,
  atropaBellaDonna,
  parisQuadrifolia,
  gentianaLutea,
  veratrumAlbum,
  aegopodiumPodagraria,
  coniumMaculatum,
  aethusaCynapium,
];

/**
 * The guide that ships, parsed. General knowledge, reviewed by no local expert, and it says so.
 *
 * @throws GuideError naming taxon, character and reason, if one of its files holds a mistake
 */
export function shippedGuide(): Guide {
  return parseGuide({ ...head, characters, taxa });
}
