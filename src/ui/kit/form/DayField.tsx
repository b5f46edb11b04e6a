'use client';
import { AdapterDayjs } from '@mui/x-date-pickers/AdapterDayjs';
import { DatePicker } from '@mui/x-date-pickers/DatePicker';
import { DateTimePicker } from '@mui/x-date-pickers/DateTimePicker';
import { LocalizationProvider } from '@mui/x-date-pickers/LocalizationProvider';
import dayjs, { type Dayjs } from 'dayjs';

const DAY = 'YYYY-MM-DD';
const MOMENT = 'YYYY-MM-DD HH:mm';

/** A day, or a day and a time, typed or picked: year, month, day, so that nobody reads it two ways. */
export default function DayField({
  id,
  moment,
  value,
  wrong,
  onChange,
}: {
  id: string;
  /** With its time. */
  moment: boolean;
  /** ISO text; blank is none. */
  value: string;
  wrong: boolean;
  onChange: (value: string) => void;
}) {
  const Picker = moment ? DateTimePicker : DatePicker;
  const put = (day: Dayjs | null) =>
    onChange(day?.isValid() ? day.format(moment ? 'YYYY-MM-DDTHH:mm' : DAY) : '');
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs}>
      <Picker
        value={value ? dayjs(value) : null}
        onChange={put}
        format={moment ? MOMENT : DAY}
        ampm={false}
        slotProps={{ textField: { id, error: wrong, fullWidth: true, size: 'small' } }}
      />
    </LocalizationProvider>
  );
}
