import { BarChart, LineChart, ScatterChart } from 'echarts/charts';
import {
  AriaComponent,
  GridComponent,
  MarkAreaComponent,
  MarkLineComponent,
  TooltipComponent,
} from 'echarts/components';
import { init, use as register, type EChartsType } from 'echarts/core';
import { SVGRenderer } from 'echarts/renderers';
import type { EChartsOption } from 'echarts';
import { useEffect, useRef, useSyncExternalStore } from 'react';
import { themes, type Token } from '../look/tokens';

register([
  BarChart,
  LineChart,
  ScatterChart,
  GridComponent,
  MarkAreaComponent,
  TooltipComponent,
  MarkLineComponent,
  AriaComponent,
  SVGRenderer,
]);

const darkQuery = () => matchMedia('(prefers-color-scheme: dark)');

/** The tokens as plain colours, for what cannot read a variable; changes with the theme. */
function usePalette(): Record<Token, string> {
  const isDark = useSyncExternalStore(
    (changed) => {
      const query = darkQuery();
      query.addEventListener('change', changed);
      const watch = new MutationObserver(changed);
      watch.observe(document.documentElement, { attributes: true, attributeFilter: ['data-theme'] });
      return () => {
        query.removeEventListener('change', changed);
        watch.disconnect();
      };
    },
    () => {
      const set = document.documentElement.dataset.theme;
      return set === 'dark' || (set !== 'light' && darkQuery().matches);
    },
  );
  return isDark ? themes.dark : themes.light;
}

/** A chart that shares the screen's colours and type. */
export default function Chart({
  option,
  height,
  label,
}: {
  option: (palette: Record<Token, string>) => EChartsOption;
  height: number;
  label: string;
}) {
  const place = useRef<HTMLDivElement>(null);
  const chart = useRef<EChartsType>(undefined);
  const palette = usePalette();
  useEffect(() => {
    chart.current = init(place.current, undefined, { renderer: 'svg' });
    const watch = new ResizeObserver(() => chart.current?.resize());
    watch.observe(place.current!);
    return () => {
      watch.disconnect();
      chart.current?.dispose();
    };
  }, []);
  useEffect(() => {
    chart.current?.setOption(
      {
        animation: !matchMedia('(prefers-reduced-motion: reduce)').matches,
        textStyle: { fontFamily: 'Atkinson Hyperlegible Next Variable', color: palette.ink, fontSize: 13 },
        ...option(palette),
      },
      true,
    );
  }, [option, palette]);
  return <div ref={place} style={{ height, width: '100%' }} role="img" aria-label={label} />;
}
