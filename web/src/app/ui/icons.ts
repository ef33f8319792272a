import { inject, Injectable } from '@angular/core';
import { MatIconRegistry } from '@angular/material/icon';
import { DomSanitizer } from '@angular/platform-browser';
import alert from '@tabler/icons/outline/alert-triangle.svg';
import arrived from '@tabler/icons/outline/package-import.svg';
import back from '@tabler/icons/outline/arrow-back-up.svg';
import bag from '@tabler/icons/outline/package.svg';
import bench from '@tabler/icons/outline/tools.svg';
import call from '@tabler/icons/outline/speakerphone.svg';
import camera from '@tabler/icons/outline/camera.svg';
import check from '@tabler/icons/outline/check.svg';
import down from '@tabler/icons/outline/arrow-big-down-lines.svg';
import fold from '@tabler/icons/outline/chevron-up.svg';
import unfold from '@tabler/icons/outline/chevron-down.svg';
import find from '@tabler/icons/outline/search.svg';
import hand from '@tabler/icons/outline/hand-stop.svg';
import literature from '@tabler/icons/outline/book-2.svg';
import light from '@tabler/icons/outline/moon.svg';
import forward from '@tabler/icons/outline/arrow-forward-up.svg';
import grip from '@tabler/icons/outline/grip-vertical.svg';
import handover from '@tabler/icons/outline/clipboard-check.svg';
import key from '@tabler/icons/outline/key.svg';
import lift from '@tabler/icons/outline/crane.svg';
import more from '@tabler/icons/outline/dots.svg';
import note from '@tabler/icons/outline/pencil.svg';
import people from '@tabler/icons/outline/users.svg';
import photos from '@tabler/icons/outline/photo.svg';
import pin from '@tabler/icons/outline/pin.svg';
import plan from '@tabler/icons/outline/list-numbers.svg';
import plus from '@tabler/icons/outline/plus.svg';
import print from '@tabler/icons/outline/printer.svg';
import record from '@tabler/icons/outline/notebook.svg';
import refit from '@tabler/icons/outline/assembly.svg';
import save from '@tabler/icons/outline/download.svg';
import scan from '@tabler/icons/outline/scan.svg';
import skip from '@tabler/icons/outline/player-skip-forward.svg';
import strip from '@tabler/icons/outline/tool.svg';
import stuck from '@tabler/icons/outline/barrier-block.svg';
import survey from '@tabler/icons/outline/ruler-measure.svg';
import tag from '@tabler/icons/outline/tag.svg';
import up from '@tabler/icons/outline/arrow-big-up-lines.svg';
import why from '@tabler/icons/outline/help-circle.svg';
import x from '@tabler/icons/outline/x.svg';
import yard from '@tabler/icons/outline/building-warehouse.svg';

const DRAWN = {
  alert,
  arrived,
  back,
  bag,
  bench,
  call,
  camera,
  check,
  down,
  find,
  fold,
  forward,
  hand,
  light,
  literature,
  grip,
  handover,
  key,
  lift,
  more,
  note,
  people,
  photos,
  pin,
  plan,
  plus,
  print,
  record,
  refit,
  save,
  scan,
  skip,
  strip,
  stuck,
  survey,
  tag,
  unfold,
  up,
  why,
  x,
  yard,
} as const;

/** A sign that goes with a word, never instead of it. */
export type IconName = keyof typeof DRAWN;

/** Makes the signs known to Material; they are part of the application and fetched from nowhere. */
@Injectable({ providedIn: 'root' })
export class Icons {
  constructor() {
    const registry = inject(MatIconRegistry);
    const sanitizer = inject(DomSanitizer);
    for (const [name, drawn] of Object.entries(DRAWN))
      registry.addSvgIconLiteral(name, sanitizer.bypassSecurityTrustHtml(drawn));
  }
}
