import { Button, Group, Select, SimpleGrid, Text, TextInput } from '@mantine/core';
import { UnitEntry } from '../controls/UnitEntry.tsx';
import { useForm } from '@mantine/form';
import { useState } from 'react';
import { endMassFromTest } from '../../core/motion/endMass.ts';
import { cueDocumentSchema, MOST_END_MASS, type Cue, type CueDocument } from '../../core/records/cue.ts';
import type { Player } from '../../core/records/player.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { checkedBy, errorsOf } from '../controls/yupForm.ts';
import { squirtWords } from '../words/cueWords.ts';
import { longUnit, placeUnit, weightUnit, type Unit } from '../words/lengths.ts';

const BLANK: CueDocument = {
  name: '',
  ownerId: null,
  weight: null,
  length: null,
  tip: '',
  shaft: '',
  endMass: null,
  squirtBy: null,
};
const GRAMS = 1000;
const MILLIMETRES = 1000;
const kilograms = (grams: number | null) => (grams === null ? null : grams / GRAMS);
const tenths = (value: number) => Math.round(10 * value) / 10;
/** A tip's place is told in radii of the ball. */
const RADII: Unit = { unit: 'radii', scale: 1, digits: 2 };
/** The ball with which the test is played, kg. */
const BALL = TABLE_PRESETS['pool-9ft'].ballMass;

interface CueFormProps {
  /** Undefined for a new one. */
  readonly cue: Cue | undefined;
  readonly owners: readonly Player[];
  readonly onStore: (id: string, document: CueDocument, archived: boolean) => Promise<void>;
  readonly onClose: () => void;
}

/** What is known of a cue; how much it squirts may come from a shot with side. */
export function CueForm({ cue, owners, onStore, onClose }: CueFormProps) {
  const [id] = useState(() => cue?.id ?? crypto.randomUUID());
  const [busy, setBusy] = useState(false);
  const form = useForm<CueDocument>({
    initialValues: cue?.document ?? BLANK,
    validate: checkedBy(cueDocumentSchema),
  });
  const { values } = form;
  async function store(document: CueDocument) {
    setBusy(true);
    try {
      await onStore(id, document, cue?.archived ?? false);
      onClose();
    } catch (error) {
      // The server names the field of the document, the form the field alone.
      const told = Object.entries(errorsOf(error, 'name'));
      form.setErrors(Object.fromEntries(told.map(([name, why]) => [name.replace(/^document\./, ''), why])));
    } finally {
      setBusy(false);
    }
  }
  return (
    <form aria-label="A cue" onSubmit={form.onSubmit((document) => void store(document))}>
      <SimpleGrid cols={{ base: 1, sm: 3 }} mt="sm" spacing={8}>
        <TextInput label="Name" maxLength={40} {...form.getInputProps('name')} />
        <Select
          label="Whose it is"
          placeholder="The house"
          clearable
          data={owners.map(({ id: value, name }) => ({ value, label: name }))}
          {...form.getInputProps('ownerId')}
        />
        <UnitEntry
          label="Weight"
          in={weightUnit(0)}
          live
          value={kilograms(values.weight)}
          error={form.errors['weight']}
          onEnter={(weight) => form.setFieldValue('weight', Math.round(GRAMS * weight))}
          onClear={() => form.setFieldValue('weight', null)}
        />
        <UnitEntry
          label="Length"
          in={{ ...placeUnit(), digits: 0 }}
          live
          value={values.length === null ? null : values.length / MILLIMETRES}
          error={form.errors['length']}
          onEnter={(length) => form.setFieldValue('length', Math.round(MILLIMETRES * length))}
          onClear={() => form.setFieldValue('length', null)}
        />
        <TextInput label="Tip" maxLength={40} {...form.getInputProps('tip')} />
        <TextInput label="Shaft" maxLength={40} {...form.getInputProps('shaft')} />
        <UnitEntry
          label="Mass of its end"
          in={weightUnit()}
          description="What makes it squirt; empty where nobody knows"
          min={0}
          max={MOST_END_MASS / GRAMS}
          live
          value={kilograms(values.endMass)}
          error={form.errors['endMass'] ?? form.errors['squirtBy']}
          onEnter={(endMass) => form.setValues({ endMass: tenths(GRAMS * endMass), squirtBy: 'measured' })}
          onClear={() => form.setValues({ endMass: null, squirtBy: null })}
        />
      </SimpleGrid>
      <SquirtTest onTold={(endMass) => form.setValues({ endMass, squirtBy: 'test' })} />
      {values.endMass !== null && <Text size="sm">This cue {squirtWords(values)}.</Text>}
      {form.errors['document'] !== undefined && (
        <Text size="sm" role="alert" c="var(--jr-coral-text)">
          {form.errors['document']}
        </Text>
      )}
      <Group mt="sm">
        <Button type="submit" loading={busy}>
          Keep it
        </Button>
        <Button variant="default" onClick={onClose}>
          Leave it
        </Button>
      </Group>
    </form>
  );
}

/** A firm shot with side at a mark: by how much it passes beside it tells the cue's end. @param onTold grams */
function SquirtTest({ onTold }: { readonly onTold: (endMass: number) => void }) {
  const [test, setTest] = useState({ side: 0.4, away: 2, off: 0 });
  const [refused, setRefused] = useState(false);
  const field = (name: keyof typeof test, label: string, unit: Unit, step: number) => (
    <UnitEntry
      label={label}
      in={unit}
      size="xs"
      w={170}
      step={step}
      live
      value={test[name]}
      onEnter={(value) => setTest({ ...test, [name]: value })}
    />
  );
  const tell = () => {
    try {
      const endMass = GRAMS * endMassFromTest(test.side, BALL, test.off, test.away);
      if (endMass > MOST_END_MASS) throw new RangeError('too heavy');
      setRefused(false);
      onTold(tenths(endMass));
    } catch (error) {
      if (!(error instanceof RangeError)) throw error;
      setRefused(true);
    }
  };
  return (
    <details>
      <summary>Find its squirt by a test</summary>
      <Text size="sm">
        Play a pool ball firmly at a mark, the cue parallel to the line, with side and a level butt. How far
        does it pass beside the mark?
      </Text>
      <Group gap={8} align="end">
        {field('side', 'Tip beside the middle', RADII, 0.1)}
        {field('away', 'To the mark', longUnit(2), 0.1)}
        {field('off', 'Beside the mark', { ...placeUnit(), digits: 2 }, 1)}
        <Button size="xs" variant="default" onClick={tell}>
          Work it out
        </Button>
      </Group>
      {refused && (
        <Text size="sm" role="alert">
          No cue does that: look at the three figures again.
        </Text>
      )}
    </details>
  );
}
