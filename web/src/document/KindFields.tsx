import type { Edit, Json } from '../api/types';
import { textAt, useBuilding } from './context';
import { LengthField } from '../ui/LengthField';
import { SelectField } from '../ui/SelectField';
import { TextField } from '../ui/TextField';

const SORTS = [
  ['window', 'a window'],
  ['door', 'a door'],
  ['open', 'open, with nothing in it'],
] as const;

const HEADS = [
  ['flat', 'flat'],
  ['segmental', 'segmental'],
] as const;

const COUNTS = Array.from({ length: 12 }, (_none, i) => [String(i + 1), String(i + 1)] as const);

/** All that is said of a kind of opening. Every opening of the kind follows. */
export function KindFields({ id, name }: { id: string; name: string }) {
  const { state, save } = useBuilding();
  const at = `styles.${id}`;
  const text = (key: string) => textAt(state.document, `${at}.${key}`);
  const set = (key: string, value: Json | null): Edit => ({ op: 'set', path: `${at}.${key}`, value });
  const sort = text('kind') || 'window';
  const head = text('head.shape') || 'flat';
  const sill = text('sill.h');
  const [across, up] = [text('frame.panes.0') || '1', text('frame.panes.1') || '1'];
  return (
    <>
      <TextField label="called" path={`${at}.name`} value={text('name') || name} isWide />
      <SelectField
        label="it is"
        path={`${at}.kind`}
        value={sort}
        choices={SORTS}
        onChange={(kind) =>
          save([
            set('kind', kind),
            ...(kind === 'window' ? [] : [set('frame', null)]),
            ...(kind === 'open' ? [set('rebate', null)] : []),
          ])
        }
      />
      <LengthField label="width" path={`${at}.w`} value={text('w')} />
      <LengthField label="height to the crown" path={`${at}.h`} value={text('h')} />
      <SelectField
        label="head"
        path={`${at}.head.shape`}
        value={head}
        choices={HEADS}
        onChange={(shape) => save([set('head', shape === 'flat' ? { shape } : { shape, rise: '4in' })])}
      />
      {head === 'segmental' && (
        <LengthField label="rise of the head" path={`${at}.head.rise`} value={text('head.rise')} />
      )}
      {sort !== 'open' && (
        <>
          <LengthField label="set back by" path={`${at}.reveal`} value={text('reveal')} optional />
          <LengthField label="rebated by" path={`${at}.rebate`} value={text('rebate')} optional />
        </>
      )}
      {sort === 'window' && (
        <>
          <SelectField
            label="panes across"
            path={`${at}.frame.panes`}
            value={across}
            choices={COUNTS}
            onChange={(next) => save([set('frame.panes', [Number(next), Number(up)])])}
          />
          <SelectField
            label="panes up"
            value={up}
            choices={COUNTS}
            onChange={(next) => save([set('frame.panes', [Number(across), Number(next)])])}
          />
          <LengthField label="frame, width" path={`${at}.frame.stile`} value={text('frame.stile')} optional />
          <LengthField label="bars, width" path={`${at}.frame.bar`} value={text('frame.bar')} optional />
        </>
      )}
      <SelectField
        label="sill"
        path={`${at}.sill`}
        value={sill === '' ? 'none' : 'stands'}
        choices={[
          ['none', 'none'],
          ['stands', 'stands proud'],
        ]}
        onChange={(next) => save([set('sill', next === 'none' ? null : { h: '3in' })])}
      />
      {sill !== '' && (
        <>
          <LengthField label="sill, height" path={`${at}.sill.h`} value={sill} />
          <LengthField label="sill, proud by" path={`${at}.sill.proud`} value={text('sill.proud')} optional />
          <LengthField label="sill, beyond the jambs" path={`${at}.sill.beyond`} value={text('sill.beyond')} optional />
        </>
      )}
    </>
  );
}
