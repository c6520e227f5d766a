const month = new Intl.DateTimeFormat('en-GB', { month: 'long', year: 'numeric' });

/** "November 2026" */
export const monthOf = (day: string) => month.format(new Date(`${day}T12:00:00`));
