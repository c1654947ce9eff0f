import type { HomeFile } from '@ours/contracts';
import { useRouter } from 'expo-router';
import { useRef, useState } from 'react';
import { XStack, YStack } from 'tamagui';
import { fetchHome } from '@/data/api/homeFile';
import { onceJob } from '@/jobs/onceJob';
import { Progress } from '@/kit/feedback/Progress';
import { useSaveFile } from '@/kit/feedback/useSaveFile';
import { Choices } from '@/kit/form/Choices';
import { ListHeading, ListRow } from '@/kit/layout/ListRow';
import { Screen } from '@/kit/layout/Screen';
import { TwoPane } from '@/kit/layout/TwoPane';
import { Button } from '@/kit/press/Button';
import { Small } from '@/kit/text/Text';
import { useHouseholdContext } from '@/shared/HouseholdProvider';
import { today } from '@/shared/opContext';
import { usePhotos } from '@/shared/PhotosProvider';
import { PastDialog } from './PastDialog';
import { PlacesDialog } from './PlacesDialog';
import {
  containersTable,
  historyTable,
  listTable,
  placesTable,
  stockTable,
  tableToCsv,
  thingsTable,
  type Table,
  type TableStyle,
} from './tables';

/** What is under way: how far it is, and how it is stopped. */
interface UnderWay {
  words: string;
  share: number;
  stop: () => void;
}

/** All of a home goes out and comes in by open formats. */
export function TransferScreen() {
  const router = useRouter();
  const { me, store } = useHouseholdContext();
  const saveFile = useSaveFile();
  const box = usePhotos();
  const [style, setStyle] = useState<TableStyle>('comma');
  const [underWay, setUnderWay] = useState<UnderWay | null>(null);
  const [said, setSaid] = useState('');
  const [places, setPlaces] = useState(false);
  const [past, setPast] = useState(false);
  const stopper = useRef<AbortController | null>(null);
  const day = today();
  const save = async (name: string, table: Table): Promise<void> => {
    saveFile(`${name}-${day}.csv`, 'text/csv;charset=utf-8', await tableToCsv(table, style));
    setSaid(`Saved: ${name}-${day}.csv, ${table.rows.length} rows.`);
  };
  /** Fetches the home's file and does something with it; whatever happens is said. */
  const withHome = async (work: (json: Uint8Array, signal: AbortSignal) => Promise<string>): Promise<void> => {
    const stopped = new AbortController();
    stopper.current = stopped;
    const stop = (): void => stopped.abort();
    const show = (words: string, share: number): void => setUnderWay({ words, share, stop });
    setSaid('');
    show('Reading the home …', 0);
    try {
      const json = await fetchHome(me, (share) => show('Reading the home …', share), stopped.signal);
      setSaid(await work(json, stopped.signal));
    } catch (error) {
      setSaid(
        stopped.signal.aborted ? 'Stopped: nothing was saved.' : `Nothing was saved: ${(error as Error).message}`,
      );
    }
    setUnderWay(null);
  };
  const saveHome = (): Promise<void> =>
    withHome(async (json, signal) => {
      const hashes = [...new Set(store.state.all('photo').map(({ hash }) => hash))];
      const files = [{ name: 'home.json', bytes: json }];
      let missing = 0;
      for (const [at, hash] of hashes.entries()) {
        if (signal.aborted) throw new Error('stopped');
        setUnderWay({
          words: `Picture ${at + 1} of ${hashes.length} …`,
          share: at / hashes.length,
          stop: () => stopper.current?.abort(),
        });
        const picture = await box?.get(hash, false);
        if (picture) files.push({ name: `photos/${hash}.jpg`, bytes: new Uint8Array(await picture.arrayBuffer()) });
        else missing++;
      }
      const zip = await onceJob('zip', files);
      saveFile(`home-${day}.zip`, 'application/zip', zip);
      const pictures = files.length - 1;
      return `Saved: home-${day}.zip with ${pictures} ${pictures === 1 ? 'picture' : 'pictures'}${missing === 0 ? '' : `; ${missing} could not be fetched and ${missing === 1 ? 'is' : 'are'} not in it`}.`;
    });
  const saveHistory = (): Promise<void> =>
    withHome(async (json) => {
      const table = historyTable(JSON.parse(new TextDecoder().decode(json)) as HomeFile, style);
      saveFile(`history-${day}.csv`, 'text/csv;charset=utf-8', await tableToCsv(table, style));
      return `Saved: history-${day}.csv, ${table.rows.length} rows.`;
    });
  const { state } = store;
  const button = (onPress: () => void, name: string) => (
    <Button label={`Save ${name}`} disabled={underWay !== null} onPress={onPress} />
  );
  const out = (
    <YStack>
      <ListHeading title="Out" />
      <ListRow
        title="The whole home"
        detail="all there is with its history, as JSON, and the pictures: one archive, to keep or to move"
        detailLines={3}
        right={button(() => void saveHome(), 'home')}
      />
      <YStack padding={16} gap={4} backgroundColor="$background">
        <Choices
          label="How tables are written"
          wrap
          choices={[
            { value: 'comma', label: '1.5 and commas' },
            { value: 'semicolon', label: '1,5 and semicolons' },
          ]}
          value={style}
          onChange={setStyle}
        />
        <Small>Tables are CSV (RFC 4180) in UTF-8. Take the second where the spreadsheet writes 1,5.</Small>
      </YStack>
      <ListRow
        title="Stock"
        detail="each amount with its place and dates; it can be read back"
        right={button(() => void save('stock', stockTable(state, style)), 'stock')}
      />
      <ListRow
        title="Things"
        detail="names, units, marks, trade numbers"
        right={button(() => void save('things', thingsTable(state, style)), 'things')}
      />
      <ListRow
        title="Places"
        detail="codes, kinds, names, what they are in, sizes; it can be read back"
        right={button(() => void save('places', placesTable(state)), 'places')}
      />
      <ListRow
        title="Containers"
        detail="types with their measures"
        right={button(() => void save('containers', containersTable(state)), 'containers')}
      />
      <ListRow
        title="Shopping lists"
        detail="lines of all shop days"
        right={button(() => void save('lists', listTable(state, style)), 'lists')}
      />
      <ListRow
        title="History"
        detail="what was put in, taken, counted, thrown; it can be read back as past use"
        right={button(() => void saveHistory(), 'history')}
      />
    </YStack>
  );
  const into = (
    <YStack>
      <ListHeading title="In" />
      <ListRow
        title="A table of stock …"
        detail="from a file or pasted: what each row would change is shown before anything is written"
        detailLines={3}
        onPress={() => router.push('/data/table' as never)}
      />
      <ListRow
        title="Places …"
        detail="names and sizes, and new places: from a table as saved here, or of your own"
        detailLines={3}
        onPress={() => setPlaces(true)}
      />
      <ListRow
        title="Past use …"
        detail="what was used, bought or thrown before you began here: the pace of things is known sooner"
        detailLines={3}
        onPress={() => setPast(true)}
      />
      <ListRow
        title="Lines of the shopping list …"
        detail="on the list: Add, then several lines or a table"
        detailLines={3}
        onPress={() => router.push('/restock' as never)}
      />
      <ListRow
        title="A whole home …"
        detail="an archive or JSON as saved here: the home becomes what it says"
        detailLines={3}
        onPress={() => router.push('/data/home' as never)}
      />
      <ListRow
        title="Containers …"
        detail="a table of types, on their own page"
        onPress={() => router.push('/containers' as never)}
      />
    </YStack>
  );
  return (
    <Screen title="Out and in" back="/household">
      {underWay ? (
        <XStack padding={16}>
          <Progress label="Saving" words={underWay.words} share={underWay.share} onStop={underWay.stop} />
        </XStack>
      ) : null}
      {said === '' ? null : (
        <YStack paddingHorizontal={16} paddingVertical={8} role="status">
          <Small color="$color">{said}</Small>
        </YStack>
      )}
      {places ? <PlacesDialog onClose={() => setPlaces(false)} /> : null}
      {past ? <PastDialog onClose={() => setPast(false)} /> : null}
      <TwoPane
        gap={16}
        left={out}
        right={into}
        narrow={
          <>
            {out}
            {into}
          </>
        }
      />
    </Screen>
  );
}
