import type { CSSProperties } from "react";

const SIZE = {
  page: { className: "text-[26px]", fontStretch: "82%" },
  sheet: { className: "text-[30px]", fontStretch: "88%" },
  welcome: { className: "text-[30px]", fontStretch: "82%" },
  cover: { className: "text-[34px]", fontStretch: "82%" },
  place: { className: "text-[26px] leading-[1.1]", fontStretch: "82%" },
  notice: { className: "text-2xl", fontStretch: undefined },
  door: { className: "text-3xl", fontStretch: "75%" },
  unseen: { className: "sr-only", fontStretch: undefined },
} as const;

/** The one first heading of a page, in words alone; the window goes by it too. */
export function Heading({
  children,
  size = "page",
  className = "",
  style,
}: {
  /** Words, and figures among them. */
  children: string | number | (string | number | undefined)[];
  size?: keyof typeof SIZE;
  className?: string;
  style?: CSSProperties;
}) {
  const { className: usual, fontStretch } = SIZE[size];
  return (
    <>
      <title>{`${[children].flat().join("")} · Narrow Gate`}</title>
      <h1 className={`${usual} ${className}`.trim()} style={{ fontStretch, ...style }}>
        {children}
      </h1>
    </>
  );
}
