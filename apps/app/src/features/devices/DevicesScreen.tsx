import { KEPT_BELOW_TENTH_C, LOW_BATTERY_PERCENT, viewOfLog, type DevicePort, type SpaceRow } from '@ours/core';
import { useEffect, useState, useSyncExternalStore, type ReactNode } from 'react';
import { useMedia, XStack, YStack } from 'tamagui';
import { Choices } from '@/kit/form/Choices';
import { Field } from '@/kit/form/Field';
import { Stepper } from '@/kit/form/Stepper';
import { Screen } from '@/kit/layout/Screen';
import { Button } from '@/kit/press/Button';
import { counted } from '@/kit/text/counted';
import { Mark } from '@/kit/text/Mark';
import { Heading, Mono, Small, Strong } from '@/kit/text/Text';
import { useHousehold } from '@/shared/HouseholdProvider';
import { useEmitScan } from '@/shared/ScanProvider';
import {
  PRINTER_DPI,
  PRINTER_MEDIA,
  printer,
  scale,
  scanner,
  thermometerOf,
  WEATHERS,
  type SimulatedThermometer,
  type Weather,
} from '@/simulated/devices';
import { catalogue, SAMPLE_GOODS, shop } from '@/simulated/goods';
import type { Simulated } from '@/simulated/Simulated';
import { PrinterPicture, ScalePicture, ScannerPicture, ThermometerPicture } from './pictures';
import { batteryWords, logWords, weightWords } from './words';

type Knobs = { there: boolean; battery: number | null };
type AnySimulated = Simulated<Knobs> & DevicePort;

/** Draws anew whenever a knob of the device is turned. */
function useDevice<D extends AnySimulated>(device: D): D {
  useSyncExternalStore(device.subscribe, () => device.now);
  return device;
}
const isFreezer = ({ kind }: SpaceRow): boolean => kind === 'chest_freezer' || kind === 'upright_freezer';
const isCold = (space: SpaceRow): boolean => isFreezer(space) || space.kind === 'refrigerator';

/** The devices of the home: none is attached, so each is simulated, with knobs to try everything with. */
export function DevicesScreen() {
  const { gtMd } = useMedia();
  const cold = useHousehold(({ state }) => state.all('space').filter(isCold));
  return (
    <Screen title="Devices" sub="all simulated: none is attached" back="/household">
      <XStack flexWrap="wrap" padding={16} gap={16} alignItems="stretch">
        {[
          <ScannerPanel key="scanner" />,
          <ScalePanel key="scale" />,
          ...cold.map((space) => (
            <ThermometerPanel
              key={space.id}
              name={space.name}
              freezer={isFreezer(space)}
              device={thermometerOf(space.id, isFreezer(space) ? 'freezer' : 'refrigerator')}
            />
          )),
          <PrinterPanel key="printer" />,
          <ServicesPanel key="services" />,
        ].map((panel) => (
          <YStack key={panel.key} width={gtMd ? '48%' : '100%'}>
            {panel}
          </YStack>
        ))}
      </XStack>
    </Screen>
  );
}

/** One device: its picture, its name, whether it is there, and its knobs. */
function Panel({
  title,
  picture,
  device,
  children,
}: {
  title: string;
  picture: ReactNode;
  device: AnySimulated;
  children: ReactNode;
}) {
  const { there, battery } = device.now;
  return (
    <YStack
      gap={12}
      padding={14}
      borderWidth={1}
      borderRadius={10}
      borderColor="$borderColor"
      backgroundColor="$background"
      role="group"
      aria-label={title}
    >
      <XStack gap={12} alignItems="center">
        {picture}
        <YStack flex={1} minWidth={0} gap={4}>
          <Heading fontSize={18} lineHeight={24}>
            {title}
          </Heading>
          <XStack gap={6} flexWrap="wrap">
            <Mark kind="plain" label="simulated" />
            {device.isThere() ? null : <Mark kind="late" label="does not answer" />}
            {battery !== null && battery <= LOW_BATTERY_PERCENT ? (
              <Mark kind="soon" label={batteryWords(battery)} />
            ) : null}
          </XStack>
        </YStack>
      </XStack>
      {children}
      <XStack gap={8} flexWrap="wrap">
        <Button label={there ? 'Drop the connection' : 'Connect it'} onPress={() => device.turn({ there: !there })} />
        {battery === null ? null : (
          <Button
            label={battery > LOW_BATTERY_PERCENT ? 'Run the battery low' : battery > 0 ? 'Run it empty' : 'Charge it'}
            onPress={() => device.turn({ battery: battery > LOW_BATTERY_PERCENT ? 10 : battery > 0 ? 0 : 90 })}
          />
        )}
      </XStack>
    </YStack>
  );
}

function ScannerPanel() {
  const device = useDevice(scanner);
  const emit = useEmitScan();
  const [text, setText] = useState('');
  const [said, setSaid] = useState('');
  const codes = useHousehold(({ state }) =>
    state
      .all('bin')
      .slice(0, 2)
      .map(({ code, name }) => ({ code, name })),
  );
  useEffect(() => device.listen((code) => emit(code, 'scanner')), [device, emit]);
  const show = (code: string): void => setSaid(device.show(code) ? `Read: ${code}` : 'It does not answer.');
  return (
    <Panel title="Scanner" picture={<ScannerPicture />} device={device}>
      <Field
        label="What is held before it"
        value={text}
        onChangeText={setText}
        onSubmitEditing={() => text.trim() !== '' && show(text.trim())}
        autoCapitalize="none"
        autoCorrect={false}
      />
      <XStack gap={8} flexWrap="wrap" alignItems="center">
        <Button kind="primary" label="Scan it" disabled={text.trim() === ''} onPress={() => show(text.trim())} />
        {said === '' ? null : (
          <Small role="status" color="$color">
            {said}
          </Small>
        )}
      </XStack>
      <YStack gap={4}>
        <Small>At hand</Small>
        <XStack gap={6} flexWrap="wrap">
          {codes.map(({ code, name }) => (
            <Button key={code} label={`label of ${name}`} onPress={() => setText(code)} />
          ))}
          {SAMPLE_GOODS.slice(0, 3).map(({ gtin, name }) => (
            <Button key={gtin} label={name} onPress={() => setText(gtin)} />
          ))}
        </XStack>
      </YStack>
    </Panel>
  );
}

const STEP_GRAMS = 50;
const MOST_GRAMS = 5000;

function ScalePanel() {
  const device = useDevice(scale);
  const reading = device.reading();
  return (
    <Panel title="Kitchen scale" picture={<ScalePicture words={weightWords(reading)} />} device={device}>
      <Stepper
        label="Lies on it"
        value={`${device.now.grams} g`}
        less="50 g less on it"
        more="50 g more on it"
        onLess={() => device.put(Math.max(0, device.now.grams - STEP_GRAMS))}
        onMore={() => device.put(device.now.grams + STEP_GRAMS)}
        canLess={device.now.grams > 0}
        canMore={device.now.grams < MOST_GRAMS}
      />
      <XStack gap={8} alignItems="center" flexWrap="wrap">
        <Button label="Tare" disabled={!reading?.stable} onPress={() => device.tare()} />
        <Button label="Take all off" disabled={device.now.grams === 0} onPress={() => device.put(0)} />
        <Mono>
          {reading === null
            ? '–'
            : `${reading.stable ? '' : '~ '}${reading.netGrams} g net, ${reading.tareGrams} g tare`}
        </Mono>
      </XStack>
    </Panel>
  );
}

const WEATHER_WORDS: Readonly<Record<Weather, string>> = {
  steady: 'cold all night',
  power_cut: 'power cut',
  door_open: 'door left open',
  away: 'lost for hours',
};

function ThermometerPanel({ name, freezer, device }: { name: string; freezer: boolean; device: SimulatedThermometer }) {
  useDevice(device);
  const limit = KEPT_BELOW_TENTH_C[freezer ? 'freezer' : 'refrigerator'];
  const view = viewOfLog(device.log(), limit);
  return (
    <Panel
      title={`Thermometer, ${name}`}
      picture={<ThermometerPicture view={view} limitTenthC={limit} />}
      device={device}
    >
      <Choices
        label="Last night"
        wrap
        choices={WEATHERS.map((weather) => ({ value: weather, label: WEATHER_WORDS[weather] }))}
        value={device.now.weather}
        onChange={(weather) => device.turn({ weather })}
      />
      <Small>{logWords(view, limit)}</Small>
    </Panel>
  );
}

function PrinterPanel() {
  const device = useDevice(printer);
  const { left } = device.media();
  return (
    <Panel title="Label printer" picture={<PrinterPicture left={left} />} device={device}>
      <Choices
        label="Dots an inch"
        choices={PRINTER_DPI.map((dpi) => ({ value: String(dpi), label: String(dpi) }))}
        value={String(device.now.dpi)}
        onChange={(dpi) => device.turn({ dpi: Number(dpi) as (typeof PRINTER_DPI)[number] })}
      />
      <Choices
        label="Labels in it, mm"
        choices={PRINTER_MEDIA.map((media) => ({ value: media, label: media.replace('x', ' × ') }))}
        value={device.now.media}
        onChange={(media) => device.turn({ media })}
      />
      <XStack gap={8} alignItems="center" flexWrap="wrap">
        <Strong>{counted(left, { zero: 'no label left', one: '# label left', other: '# labels left' })}</Strong>
        <Button label="New roll" onPress={() => device.newRoll()} />
        <Button label="Use it up to 2" disabled={left <= 2} onPress={() => device.turn({ left: 2 })} />
      </XStack>
    </Panel>
  );
}

function ServicesPanel() {
  const [books, prices] = [useDevice(catalogue), useDevice(shop)];
  return (
    <YStack gap={16}>
      <Panel title="Product catalogue" picture={null} device={books}>
        <Small>Names and sizes of 20 invented goods, by their numbers.</Small>
      </Panel>
      <Panel title="Shop" picture={null} device={prices}>
        <Small>What those goods cost, for “Take the shop’s price”.</Small>
      </Panel>
    </YStack>
  );
}
