import { Drawings } from './papers/Drawings.js';
import { ShopSheets } from './papers/ShopSheets.js';
import { Tables } from './papers/Tables.js';

/** Shop sheets to print, tables for other programs, and outlines at full size. */
export function PapersView() {
  return (
    <div className="grid min-h-0 flex-1 content-start gap-4 overflow-auto p-4 lg:grid-cols-3">
      <ShopSheets />
      <Tables />
      <Drawings />
    </div>
  );
}
