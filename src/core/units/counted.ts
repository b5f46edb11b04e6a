/** How many there are, as people read it. Example: counted(20000) = '20,000'. */
export const counted = (n: number): string => n.toLocaleString('en-GB');
