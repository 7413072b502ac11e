'use client';
/** The frame: made here of a moulding, of a size that is wished, or bought whole. */
import Button from '@mui/material/Button';
import { useState } from 'react';
import { BUILDS } from '@/core/builds';
import { FOUR } from '@/core/builds/many-sided';
import { SIDES } from '@/core/sizing/polygon';
import type { Design } from '@/core/design/design';
import { FINISHED_WHEN, FINISHES, MADE_FROM, OUTSIDE_IS } from '@/core/design/choices';
import { issue } from '@/core/issue';
import { defaultSettings } from '@/core/settings';
import { type Length, times } from '@/core/units/length';
import { type Money, formatMoney, parseMoney } from '@/core/units/money';
import { finishName } from '@/words/build-parts';
import { SECTION } from '@/words/screens/desk-sections';
import styles from './desk.module.css';
import { Choose, FromList, Measure, TextField, Toggle } from './inputs';
import { MouldingChoice } from './moulding-choice';
import { type SectionProps, codeOf } from './section-props';

const SIDE_COUNTS = Array.from({ length: SIDES.most - SIDES.least + 1 }, (_, index) => SIDES.least + index);

/** Bought whole: one of the books, or any of a size and a price. */
const OTHER = 'another';
function ReadyMade({ shop, piece, worked, unit, desk }: SectionProps) {
  const { readyMade } = piece.design.frame;
  const other = readyMade && 'size' in readyMade ? readyMade : undefined;
  const choose = (code: string | undefined) =>
    desk.put(
      ['frame', 'readyMade'],
      code === OTHER && worked ? { size: worked.sizes.package, price: 0 } : code && { code },
    );
  return (
    <>
      <FromList
        label={SECTION.readyMade}
        none={SECTION.madeHere}
        value={other ? OTHER : readyMade && codeOf(readyMade as { code: string })}
        options={[...shop.lists.readyMades, { code: OTHER, name: SECTION.anotherReadyMade }]}
        onChange={choose}
      />
      {other && (
        <div className={styles.pair}>
          <Measure
            label={SECTION.itsWidth}
            path={['frame', 'readyMade', 'size', 'w']}
            piece={piece}
            unit={unit}
            desk={desk}
          />
          <Measure
            label={SECTION.itsHeight}
            path={['frame', 'readyMade', 'size', 'h']}
            piece={piece}
            unit={unit}
            desk={desk}
          />
          <Price
            key={other.price}
            price={other.price as Money}
            onPrice={(price) => desk.put(['frame', 'readyMade', 'price'], price)}
          />
        </div>
      )}
      {readyMade && <p className={styles.aside}>{other ? SECTION.readyMadeLooks : SECTION.readyMadeSay}</p>}
    </>
  );
}

function Price({ price, onPrice }: { price: Money; onPrice: (price: Money) => void }) {
  const [text, setText] = useState(formatMoney(price));
  const read = parseMoney(text);
  return (
    <TextField
      label={SECTION.itsPrice}
      name="frame.readyMade.price"
      most={12}
      value={text}
      wrong={read === undefined ? issue('amount-wrong', { typed: text }) : undefined}
      onChange={(typed) => {
        setText(typed);
        const amount = parseMoney(typed);
        if (amount !== undefined && amount !== price) onPrice(amount);
      }}
    />
  );
}

/** Of boards or a sheet, with the strips, the passes of the rebate, and when it is finished. */
function ShopMade({ piece, desk }: SectionProps) {
  const { shopMade } = piece.design.frame;
  const put = (more: Partial<NonNullable<typeof shopMade>>) =>
    desk.put(['frame', 'shopMade'], { from: 'boards', strips: 1, passes: 1, ...shopMade, ...more });
  const counts = (most: number) =>
    Array.from({ length: most }, (_, index) => ({ code: `${index + 1}`, name: `${index + 1}` }));
  return (
    <>
      <FromList
        label={SECTION.mouldingFrom}
        none={SECTION.fromTheRack}
        value={shopMade?.from}
        options={MADE_FROM.map((code) => ({ code, name: SECTION.madeFrom[code] }))}
        onChange={(from) =>
          from ? put({ from: from as (typeof MADE_FROM)[number] }) : desk.put(['frame', 'shopMade'], undefined)
        }
      />
      {shopMade && (
        <div className={styles.pair}>
          <Choose
            label={SECTION.stripsGlued}
            name="frame.shopMade.strips"
            value={String(shopMade.strips)}
            options={counts(6)}
            onChange={(strips) => put({ strips: Number(strips) })}
          />
          <Choose
            label={SECTION.passes}
            name="frame.shopMade.passes"
            value={String(shopMade.passes)}
            options={counts(12)}
            onChange={(passes) => put({ passes: Number(passes) })}
          />
          <FromList
            label={SECTION.coated}
            none={SECTION.notCoated}
            value={shopMade.finish}
            options={FINISHED_WHEN.map((code) => ({ code, name: SECTION.coatedWhen[code] }))}
            onChange={(finish) => put({ finish: finish as (typeof FINISHED_WHEN)[number] | undefined })}
          />
        </div>
      )}
    </>
  );
}

/** A size that is wished: of the outside, of what is seen, or of the rabbet. */
function Wished({ piece, unit, desk }: SectionProps) {
  const { outside, outsideIs = 'outside' } = piece.design.frame;
  if (!outside) return null;
  return (
    <>
      <Toggle
        label={SECTION.wishedOf}
        value={outsideIs}
        options={OUTSIDE_IS.map((is) => [is, SECTION.outsideIs[is]] as const)}
        onChange={(is) => desk.put(['frame', 'outsideIs'], is === 'outside' ? undefined : is)}
      />
      <div className={styles.pair}>
        <Measure label={SECTION.wishedWidth} path={['frame', 'outside', 'w']} piece={piece} unit={unit} desk={desk} />
        <Measure label={SECTION.wishedHeight} path={['frame', 'outside', 'h']} piece={piece} unit={unit} desk={desk} />
      </div>
    </>
  );
}

/** To match a frame that exists, or one that somebody has in mind; a mat can then be cut to it. */
function SameOutside({ piece, worked, shop, desk }: SectionProps) {
  const { frame, mats } = piece.design;
  const size: Length = defaultSettings(shop.homeUnit).border;
  const { rabbet } = worked?.sizes ?? {};
  const inside = rabbet && {
    w: (rabbet.w - frame.allowance) as Length,
    h: (rabbet.h - frame.allowance) as Length,
  };
  return (
    <p className={styles.aside}>
      <Button
        variant="text"
        size="small"
        onClick={() =>
          desk.put(['frame', 'outside'], frame.outside ? undefined : { w: times(size, 7), h: times(size, 9) })
        }
      >
        {frame.outside ? SECTION.itsOwnOutsideSize : SECTION.sameOutsideAsAnother}
      </Button>{' '}
      {frame.outside && mats.length > 0 && inside && inside.w > 0 && inside.h > 0 && (
        <Button
          variant="text"
          size="small"
          onClick={() =>
            desk.put(['border'], { mode: 'fit', package: inside, how: 'centred' } satisfies Design['border'])
          }
        >
          {SECTION.matToThisFrame}
        </Button>
      )}
    </p>
  );
}

export function FrameSection(props: SectionProps) {
  const { shop, piece, unit, desk } = props;
  const { frame, build } = piece.design;
  const { walled, keepsFrame, frameless } = BUILDS[build];
  if (frameless) return <p className={styles.aside}>{SECTION.noFrame}</p>;
  return (
    <>
      {keepsFrame && <p className={styles.aside}>{SECTION.theCustomersOwnChoose}</p>}
      {(!frame.readyMade || 'size' in frame.readyMade) && (
        <MouldingChoice
          shop={shop}
          chosen={codeOf(frame.moulding)}
          onChoose={(code) => desk.put(['frame', 'moulding'], { code })}
        />
      )}
      {!keepsFrame && !walled && <ReadyMade {...props} />}
      {!walled && (
        <>
          <Measure
            label={SECTION.allowanceInTheRabbet}
            path={['frame', 'allowance']}
            piece={piece}
            unit={unit}
            desk={desk}
          />
          <FromList
            label={SECTION.linerInsideIt}
            none={SECTION.noLiner}
            value={frame.inner?.[0] && codeOf(frame.inner[0].moulding)}
            options={shop.lists.mouldings}
            onChange={(code) =>
              desk.put(['frame', 'inner'], code && [{ moulding: { code }, allowance: frame.allowance }])
            }
          />
          <Choose
            label={SECTION.sides}
            name="frame.sides"
            value={String(frame.sides ?? FOUR)}
            options={SIDE_COUNTS.map((sides) => ({ code: String(sides), name: SECTION.sidesOf(sides) }))}
            onChange={(sides) => desk.put(['frame', 'sides'], Number(sides) === FOUR ? undefined : Number(sides))}
          />
          {!frame.readyMade && !keepsFrame && <ShopMade {...props} />}
          <Wished {...props} />
          <SameOutside {...props} />
        </>
      )}
      {!keepsFrame && (
        <FromList
          label={SECTION.finish}
          none={SECTION.finishedAlready}
          value={piece.design.finish}
          options={FINISHES.map((code) => ({ code, name: finishName(code) }))}
          onChange={(finish) => desk.put(['finish'], finish)}
        />
      )}
    </>
  );
}
