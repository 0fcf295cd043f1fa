import { Button, Group, NumberInput, Select, SimpleGrid, Text, TextInput } from '@mantine/core';
import { useForm } from '@mantine/form';
import { useState } from 'react';
import { endMassFromTest } from '../../core/motion/endMass.ts';
import { cueDocumentSchema, MOST_END_MASS, type Cue, type CueDocument } from '../../core/records/cue.ts';
import type { Player } from '../../core/records/player.ts';
import { TABLE_PRESETS } from '../../core/table/presets.ts';
import { checkedBy, errorsOf } from '../controls/yupForm.ts';
import { squirtWords } from '../words/cueWords.ts';

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
/** The ball with which the test is played, kg. */
const BALL = TABLE_PRESETS['pool-9ft'].ballMass;

interface CueFormProps {
  /** Undefined for a new one. */
  readonly cue: Cue | undefined;
  readonly owners: readonly Player[];
  readonly onStore: (id: string, document: CueDocument, archived: boolean) => Promise<void>;
  readonly onClose: () => void;
}

const numberOr = (value: string | number) => (typeof value === 'number' ? value : null);

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
        <NumberInput
          label="Weight, g"
          allowDecimal={false}
          value={values.weight ?? ''}
          error={form.errors['weight']}
          onChange={(value) => form.setFieldValue('weight', numberOr(value))}
        />
        <NumberInput
          label="Length, mm"
          allowDecimal={false}
          value={values.length ?? ''}
          error={form.errors['length']}
          onChange={(value) => form.setFieldValue('length', numberOr(value))}
        />
        <TextInput label="Tip" maxLength={40} {...form.getInputProps('tip')} />
        <TextInput label="Shaft" maxLength={40} {...form.getInputProps('shaft')} />
        <NumberInput
          label="Mass of its end, g"
          description="What makes it squirt; empty where nobody knows"
          max={MOST_END_MASS}
          decimalScale={1}
          value={values.endMass ?? ''}
          error={form.errors['endMass'] ?? form.errors['squirtBy']}
          onChange={(value) => {
            const endMass = numberOr(value);
            form.setValues({ endMass, squirtBy: endMass === null ? null : 'measured' });
          }}
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
  const field = (name: keyof typeof test, label: string, step: number) => (
    <NumberInput
      label={label}
      size="xs"
      w={170}
      step={step}
      value={test[name]}
      onChange={(value) => typeof value === 'number' && setTest({ ...test, [name]: value })}
    />
  );
  const tell = () => {
    try {
      const endMass = GRAMS * endMassFromTest(test.side, BALL, test.off / MILLIMETRES, test.away);
      if (endMass > MOST_END_MASS) throw new RangeError('too heavy');
      setRefused(false);
      onTold(Math.round(10 * endMass) / 10);
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
        {field('side', 'Tip beside the middle, radii', 0.1)}
        {field('away', 'To the mark, m', 0.1)}
        {field('off', 'Beside the mark, mm', 1)}
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
