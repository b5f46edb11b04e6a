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
  describedBy,
  onChange,
}: {
  id: string;
  /** With its time. */
  moment: boolean;
  /** ISO text; blank is none. */
  value: string;
  wrong: boolean;
  /** Of what stands below it: help, or what was wrong. */
  describedBy?: string;
  onChange: (value: string) => void;
}) {
  const put = (day: Dayjs | null) =>
    onChange(day?.isValid() ? day.format(moment ? 'YYYY-MM-DDTHH:mm' : DAY) : '');
  const asked = {
    value: value ? dayjs(value) : null,
    onChange: put,
    slotProps: {
      textField: {
        id,
        error: wrong,
        fullWidth: true,
        size: 'small' as const,
        // The group of year, month and day is named and explained, not the field that only carries its text.
        slotProps: { input: { 'aria-labelledby': `${id}-label`, 'aria-describedby': describedBy } },
      },
    },
  };
  return (
    <LocalizationProvider dateAdapter={AdapterDayjs}>
      {moment ? (
        <DateTimePicker {...asked} format={MOMENT} ampm={false} />
      ) : (
        <DatePicker {...asked} format={DAY} />
      )}
    </LocalizationProvider>
  );
}
