<?php

declare(strict_types=1);

namespace App\Ground\Support;

use Illuminate\Support\HtmlString;

/**
 * A picture on a long page, its shapes told apart from where it stands: what the page says again and again then lies
 * close together, and packs to half of what it did (gzip looks back 32 kB, RFC 1951).
 */
final readonly class ShapesApart
{
    private function __construct(public HtmlString $picture, public HtmlString $shapes)
    {
    }

    /** @param  string  $name  by which the page knows the shapes: there is one of each */
    public static function of(HtmlString $drawn, string $name): self
    {
        if (preg_match('~\A(.*?<svg\b[^>]*>)(.*?)(</svg>.*)\z~s', (string) $drawn, $parts) !== 1) {
            return new self($drawn, new HtmlString);
        }

        return new self(
            new HtmlString("$parts[1]<use href=\"#$name\"/>$parts[3]"),
            new HtmlString("<g id=\"$name\">".preg_replace('/\s+/', ' ', $parts[2]).'</g>'),
        );
    }
}
