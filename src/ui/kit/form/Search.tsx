'use client';
import Autocomplete from '@mui/material/Autocomplete';
import InputBase from '@mui/material/InputBase';
import { type KeyboardEvent, type Ref, useEffect, useRef, useState } from 'react';
import styles from './Search.module.css';
import type { FieldSpec, Found } from './toInput';

export interface SearchFieldProps {
  id: string;
  search: NonNullable<FieldSpec['search']>;
  value: string;
  onChange: (value: string) => void;
  onPick?: (found: Found | null) => void;
  onBlur?: () => void;
  inputRef?: Ref<HTMLInputElement>;
  describedBy?: string;
  wrong?: boolean;
  /** What is chosen before anybody looks. */
  start?: Found | null;
  minHeight?: number;
}

/** The last line where more answer than are shown. */
const MORE: Found = { value: '…', title: 'More answer to this', words: 'another word narrows it' };

/** What words that were entered mean: the only answer, or the one whose own code they are. */
function theOne(found: readonly Found[], words: string): Found | null {
  const same = (text: string) => text.toUpperCase() === words.trim().toUpperCase();
  const named = found.filter((f) => same(f.value) || same(f.title) || same(f.value.replace(/\|[^|]*$/, '')));
  const [one, another] = named.length ? named : found;
  return one && !another ? one : null;
}

/** A choice too long for a list: a few words, a range or a scanned code find it on the server. */
export default function Search({
  id,
  search,
  value,
  onChange,
  onPick,
  onBlur,
  inputRef,
  describedBy,
  wrong,
  start = null,
  minHeight,
}: SearchFieldProps) {
  const [words, setWords] = useState('');
  const [answer, setAnswer] = useState<{
    found: Found[];
    of: string;
    failed?: boolean;
    against?: string | null;
  } | null>(null);
  const [picked, setPicked] = useState<Found | null>(start);
  const [open, setOpen] = useState(false);
  /** Words for which Enter came before their answer did. */
  const entered = useRef<string | null>(null);
  const take = (found: Found | null) => {
    setPicked(found);
    onChange(found?.value ?? '');
    onPick?.(found);
  };
  const takes = useRef(take);
  useEffect(() => {
    takes.current = take;
  });
  useEffect(() => {
    // Until the field is opened nobody waits for its list.
    if (!open) return;
    const stop = new AbortController();
    const timer = setTimeout(
      () => {
        search(words, stop.signal)
          .then(({ found, more, against }) => {
            setAnswer({ found: more ? [...found, MORE] : found, of: words, against });
            if (entered.current !== words) return;
            entered.current = null;
            const meant = theOne(found, words);
            if (!meant) return;
            takes.current(meant);
            setOpen(false);
          })
          .catch(() => {
            // Typed on: the next answer is on its way.
            if (!stop.signal.aborted) setAnswer({ found: [], of: words, failed: true });
          });
      },
      words ? 180 : 0,
    );
    return () => {
      clearTimeout(timer);
      stop.abort();
    };
  }, [search, words, open]);
  const onEnter = (event: KeyboardEvent & { defaultMuiPrevented?: boolean }) => {
    if (event.key !== 'Enter') return;
    // It chooses, and never sends the form.
    event.preventDefault();
    if (!words || answer?.of === words) return;
    // What is listed answers to other words.
    event.defaultMuiPrevented = true;
    entered.current = words;
  };
  // A form that was sent begins anew.
  const now = picked?.value === value ? picked : null;
  return (
    <Autocomplete<Found>
      id={id}
      fullWidth
      open={open}
      onOpen={() => setOpen(true)}
      onClose={() => setOpen(false)}
      value={now}
      options={answer?.found ?? []}
      loading={answer === null || answer.of !== words}
      loadingText="Looking …"
      noOptionsText={
        answer?.failed
          ? 'No answer came: type it again in a moment'
          : (answer?.against ?? 'Nothing answers to this')
      }
      getOptionDisabled={(f) => f === MORE}
      // What the server found is what there is.
      filterOptions={(found) => found}
      getOptionLabel={(f) => f.title}
      getOptionKey={(f) => f.value}
      isOptionEqualToValue={(a, b) => a.value === b.value}
      autoHighlight
      onInputChange={(_, text, reason) => setWords(reason === 'input' ? text : '')}
      onChange={(_, found) => take(found)}
      onKeyDown={onEnter}
      onBlur={onBlur}
      slotProps={{
        listbox: { className: styles.found },
        paper: { className: styles.paper },
      }}
      renderOption={({ key, ...props }, f) => (
        <li key={key} {...props}>
          <span>
            <strong>{f.title}</strong>
            <span className="soft"> {f.words}</span>
            {f.caution && <div className="small">▲ {f.caution}</div>}
          </span>
        </li>
      )}
      renderInput={(params) => (
        <InputBase
          ref={params.slotProps?.input?.ref}
          inputRef={inputRef}
          error={wrong}
          style={{ minHeight }}
          placeholder="words, DC 6..8, or a scan"
          inputProps={{
            ...params.slotProps?.htmlInput,
            'aria-describedby': describedBy,
            'aria-invalid': wrong,
          }}
        />
      )}
    />
  );
}
