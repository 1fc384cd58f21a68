import type { CSSProperties, ReactNode } from "react";

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

/** The one first heading of a page. */
export function Heading({
  children,
  size = "page",
  className = "",
  style,
}: {
  children: ReactNode;
  size?: keyof typeof SIZE;
  className?: string;
  style?: CSSProperties;
}) {
  const { className: usual, fontStretch } = SIZE[size];
  return (
    <h1 className={`${usual} ${className}`.trim()} style={{ fontStretch, ...style }}>
      {children}
    </h1>
  );
}
