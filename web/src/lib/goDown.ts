/** The field below in the same column of a table, passing over rows without one: as one fills in a list by hand. */
export function goDown(from: HTMLInputElement): void {
  const cell = from.closest('td');
  let row = cell?.closest('tr')?.nextElementSibling ?? null;
  while (cell && row) {
    const next = (row as HTMLTableRowElement).cells[cell.cellIndex]?.querySelector('input');
    if (next) {
      next.focus();
      next.select();
      return;
    }
    row = row.nextElementSibling;
  }
}
