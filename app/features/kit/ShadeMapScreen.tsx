import { useRouter } from 'expo-router';
import { useMemo, useState } from 'react';
import Svg, { Circle, Line as SvgLine, Path, Rect, Text as SvgText } from 'react-native-svg';
import { labToHex, msg, plural, shadeName, term, UNDERTONE_HUE, type Kit, type ShadeMap } from '@toile/core';
import { useKit } from '../../data/hooks';
import {
  Body,
  Button,
  Column,
  Empty,
  Figure,
  Judged,
  Label,
  Line,
  Loading,
  Ready,
  Screen,
  Subheading,
  Swatch,
  useColours,
} from '../../ui';
import { askShades, useWork } from '../../workers';

// A name needs a role, which the drawing's types do not know.
const NAMED = { role: 'img' } as const;

/** All bases by depth and hue, and the skins they leave out. */
export function ShadeMapScreen() {
  const kit = useKit();
  const router = useRouter();
  return (
    <Screen title={msg`Shade map`} onBack={() => router.navigate('/kit')} widest={900}>
      <Ready remote={kit}>{(data) => <MapOf kit={data} />}</Ready>
    </Screen>
  );
}

function MapOf({ kit }: { readonly kit: Kit }) {
  const asked = useMemo(() => ({ kit }), [kit]);
  const { answer, error } = useWork(askShades, 'shadeMap', asked);
  if (error) return <Body color="$madder">{`▲ ${error}`}</Body>;
  if (!answer) return <Loading words={msg`Placing the bases`} />;
  if (answer.points.length === 0)
    return (
      <Empty
        title={msg`No bases yet`}
        words={msg`Bases with a colour stand here by depth and hue, once the kit has some.`}
      />
    );
  return (
    <Column gap="$4">
      <Body>
        {answer.gaps.length === 0
          ? msg`Every skin looked at is served by a base or a mix of two.`
          : msg`${answer.gaps.length} of 48 skins looked at are not served: neither a base nor a mix of two comes within 1.5.`}
      </Body>
      <Plot map={answer} />
      <Label>{msg`Deeper further down, pinker left, yellower right of neutral skin of that depth. Dots are bases; crosses are skins with nothing near.`}</Label>
      {answer.gaps.length > 0 ? (
        <>
          <ToBuy kit={kit} />
          <Unserved gaps={answer.gaps} />
        </>
      ) : null}
    </Column>
  );
}

/** The few bases that would serve the most of the skins that are left out. */
function ToBuy({ kit }: { readonly kit: Kit }) {
  const asked = useMemo(() => ({ kit }), [kit]);
  const { answer, error } = useWork(askShades, 'toBuy', asked);
  return (
    <Column gap={0}>
      <Subheading>{msg`To buy first`}</Subheading>
      <Label>{msg`By themselves or stirred with what is here, each after the one above it. A model’s reckoning: try the swatch.`}</Label>
      {error ? <Body role="alert" color="$madder">{`▲ ${error}`}</Body> : null}
      {answer ? (
        answer.map((shade) => (
          <SkinLine
            key={`${shade.depth} ${shade.undertone}`}
            skin={shade}
            label={msg`the base`}
            fact={msg`serves ${shade.serves} more`}
          />
        ))
      ) : error ? null : (
        <Loading words={msg`Trying what could be bought`} />
      )}
    </Column>
  );
}

/** Every skin that is left out, behind a touch: there may be dozens. */
function Unserved({ gaps }: { readonly gaps: ShadeMap['gaps'] }) {
  const [all, setAll] = useState(false);
  return (
    <Column gap={0}>
      <Line justifyContent="space-between">
        <Subheading>{msg`Not served`}</Subheading>
        <Button onPress={() => setAll((now) => !now)}>
          {all ? msg`Close` : plural(gaps.length)`The one skin|All ${gaps.length} skins`}
        </Button>
      </Line>
      {all
        ? gaps.map((gap) => (
            <SkinLine
              key={`${gap.depth} ${gap.undertone}`}
              skin={gap}
              label={msg`this skin`}
              fact={msg`${gap.nearestMix.toFixed(1)} off at best`}
            />
          ))
        : null}
    </Column>
  );
}

function SkinLine({
  skin: { depth, undertone, lab },
  label,
  fact,
}: {
  readonly skin: Pick<ShadeMap['gaps'][number], 'depth' | 'undertone' | 'lab'>;
  /** What the swatch is of. */ readonly label: string;
  readonly fact: string;
}) {
  const [L, a, b] = lab;
  return (
    <Line flexWrap="nowrap" gap="$3" paddingVertical="$1" borderBottomWidth={1} borderBottomColor="$line">
      <Swatch lab={lab} size={32} label={label} />
      <Column gap={0} flex={1}>
        <Body>{msg`depth ${depth}, ${term(undertone)}`}</Body>
        <Label>{msg`L* ${Math.round(L)}, a* ${Math.round(a)}, b* ${Math.round(b)}`}</Label>
      </Column>
      <Figure color="$inkSoft">{fact}</Figure>
    </Line>
  );
}

const LEFT = 40;
const TOP = 26;
/** Degrees of hue shown each way, and the depths. */
const HUE = 16;
const [LIGHT, DEEP] = [3, 22];
/** Left of the drawing below its deepest base, steps of depth. */
const BELOW = 0.8;

function Plot({ map }: { readonly map: ShadeMap }) {
  const c = useColours();
  const [width, setWidth] = useState(340);
  const router = useRouter();
  const height = Math.min(640, Math.max(420, width));
  const x = (hue: number): number =>
    LEFT + ((Math.max(-HUE, Math.min(HUE, hue)) + HUE) / (2 * HUE)) * (width - LEFT - 12);
  const depths = map.points.map(({ depth }) => depth);
  const lightest = Math.min(LIGHT, ...depths.map((depth) => depth - BELOW));
  const deepest = Math.max(DEEP, ...depths.map((depth) => depth + BELOW));
  const y = (depth: number): number =>
    TOP + ((depth - lightest) / (deepest - lightest)) * (height - TOP - 10);
  return (
    <Judged padding={0} onLayout={(event) => setWidth(event.nativeEvent.layout.width)}>
      <Svg
        width={width}
        height={height}
        role="img"
        aria-label={msg`${map.points.length} bases by depth and hue, ${map.gaps.length} gaps`}
      >
        <Rect x={0} y={0} width={width} height={height} fill={c.judged} />
        {[4, 7, 10, 13, 16, 19, 22].map((depth) => (
          <SvgText key={depth} x={8} y={y(depth) + 4} fontSize={13} fill={c.ink}>
            {depth}
          </SvgText>
        ))}
        {(['cool', 'neutral', 'warm', 'olive'] as const).map((undertone) => (
          <SvgText
            key={undertone}
            x={x(UNDERTONE_HUE[undertone].hue)}
            y={15}
            fontSize={13}
            textAnchor="middle"
            fill={c.ink}
          >
            {term(undertone)}
          </SvgText>
        ))}
        <SvgLine x1={x(0)} x2={x(0)} y1={TOP} y2={height - 10} stroke={c.inkSoft} strokeDasharray="3 4" />
        {map.gaps.map((gap) => {
          const [cx, cy] = [x(UNDERTONE_HUE[gap.undertone].hue), y(gap.depth)];
          return (
            <Path
              key={`${gap.depth} ${gap.undertone}`}
              d={`M${cx - 6} ${cy - 6}L${cx + 6} ${cy + 6}M${cx + 6} ${cy - 6}L${cx - 6} ${cy + 6}`}
              stroke={c.madder}
              strokeWidth={2}
            />
          );
        })}
        {map.points.map(({ product, depth, hueOffset }) => (
          <Circle
            {...NAMED}
            key={product.id}
            cx={x(hueOffset)}
            cy={y(depth)}
            r={9}
            fill={labToHex(product.lab!)}
            stroke={c.ink}
            strokeWidth={1}
            onPress={() => router.navigate(`/kit/products/${product.id}`)}
            aria-label={shadeName(product)}
          />
        ))}
      </Svg>
    </Judged>
  );
}
