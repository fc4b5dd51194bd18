import { lazy, Suspense, useState } from 'react';
import { Judged, View } from './layout';
import { useColours } from './theme';

/** Graphs weigh more than the rest of a page: fetched when one is drawn. */
const LineChart = lazy(async () => ({ default: (await import('react-native-gifted-charts')).LineChart }));

const AXIS_PX = 50;
const ENDS_PX = 40;

type LineGraphProps = {
  readonly values: readonly number[];
  /** Beside them, dashed and without points: a band. */ readonly band?: {
    readonly low: readonly number[];
    readonly high: readonly number[];
  };
  readonly most: number;
  readonly sections: number;
  readonly height: number;
  readonly labels?: readonly string[];
};

/**
 * Values in order as a line. It says nothing to whoever cannot see it: the same stands in words or a table
 * beside it.
 */
export function LineGraph({ values, band, most, sections, height, labels }: LineGraphProps) {
  const c = useColours();
  const [width, setWidth] = useState(0);
  const points = (of: readonly number[]) => of.map((value) => ({ value }));
  return (
    <Judged padding="$3">
      <View onLayout={({ nativeEvent }) => setWidth(nativeEvent.layout.width)}>
        {width > 0 ? (
          <View overflow="hidden" aria-hidden>
            <Suspense fallback={<View height={height} />}>
              <LineChart
                data={points(values)}
                {...(band && { data2: points(band.low), data3: points(band.high) })}
                height={height}
                width={width - AXIS_PX}
                spacing={(width - AXIS_PX - ENDS_PX) / Math.max(1, values.length - 1)}
                initialSpacing={10}
                endSpacing={10}
                maxValue={most}
                noOfSections={sections}
                color={c.ink}
                color2={c.inkSoft}
                color3={c.inkSoft}
                strokeDashArray2={[4, 4]}
                strokeDashArray3={[4, 4]}
                thickness={2}
                thickness2={1}
                thickness3={1}
                dataPointsColor={c.woad}
                hideDataPoints2
                hideDataPoints3
                rulesColor={c.line}
                xAxisColor={c.inkSoft}
                yAxisColor={c.inkSoft}
                yAxisTextStyle={{ color: c.ink, fontSize: 13 }}
                {...(labels && { xAxisLabelTexts: [...labels] })}
                xAxisLabelTextStyle={{ color: c.ink, fontSize: 13 }}
                disableScroll
              />
            </Suspense>
          </View>
        ) : null}
      </View>
    </Judged>
  );
}
