<?php

declare(strict_types=1);

namespace PruningHook\Core\Drawing;

use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Regrowth\Stage;
use PruningHook\Core\Units\Length;

/**
 * A living plant to scale, in mm, from the side or from above: x to the right of its foot, y up (from above, to the
 * north). Every axis is a tapering limb, toned by the age of its wood; what a cut takes is told apart and numbered;
 * flowers stand where they will. A person or a rule of 30 cm stands by for size.
 */
final readonly class Portrait
{
    /** More flowers than that are drawn as every second one, or every third. */
    private const FLOWERS = 160;

    /** The thinnest twig, as a part of the picture's longer side. */
    private const THINNEST = 260;

    /** How far two numbers stand apart, as a part of the picture's longer side. */
    private const SEALS = 17;

    /** Of a vine's arm that is drawn. */
    private const ARM_MM = 900;

    /** Limbs of one tone are drawn together within each so many of the picture's depths. */
    private const DEPTHS = 8;

    /** Which is drawn over which where they are equally far; what goes is drawn limb by limb, last of all. */
    private const TONES = ['dead', 'old', 'last', 'new', 'insurance'];

    /** A picture that is so tall has a person beside it, a lower one a rule. */
    public const PERSON_MM = 1700;

    public const RULE_MM = 300;

    /**
     * @param  list<Limb>  $limbs  the farthest first
     * @param  list<Spot>  $mass  outline of what will stand, where it is seen as a mass
     * @param  list<Spot>  $flowers
     * @param  list<Mark>  $measure  heights above the ground; none from above
     * @param  bool  $hasPerson  beside it for size; else the rule
     */
    private function __construct(
        public View $view,
        /** the picture's left edge and its lower one, in mm from the plant's foot */
        public int $left,
        public int $bottom,
        public int $width,
        public int $height,
        public array $limbs,
        public array $mass,
        public array $flowers,
        public ?int $flowersMm,
        public CutMarks $marks,
        public Trained $trained,
        public array $measure,
        public bool $hasPerson,
        public string $says,
    ) {
    }

    /**
     * The limbs as few shapes, the farthest first: a picture of a thousand twigs is then some dozens.
     *
     * @return list<array{string, list<non-empty-list<Spot>>}> tone and outlines
     */
    public function layers(): array
    {
        $layers = [];
        foreach (array_chunk($this->limbs, max(1, (int) ceil(count($this->limbs) / self::DEPTHS))) as $depth) {
            $tones = [];
            foreach ($depth as $limb) {
                $tones[$limb->tone()][] = $limb->outline;
            }
            foreach (self::TONES as $tone) {
                if (isset($tones[$tone])) {
                    $layers[] = [$tone, $tones[$tone]];
                }
            }
            foreach ($tones['goes'] ?? [] as $outline) {
                $layers[] = ['goes', [$outline]];
            }
        }

        return $layers;
    }

    /**
     * @param  int  $widthMm  of the picture
     * @param  int  $heightMm  of the picture: the same for all that stand side by side
     */
    public static function of(Stage $stage, int $widthMm, int $heightMm, View $view = View::South): self
    {
        $plant = $stage->plant;
        $flowersMm = $stage->bloom !== null && $stage->bloom->flowers > 0.0 ? $stage->bloom->topMm : null;

        return new self(
            $view, -intdiv($widthMm, 2), $view === View::Above ? -intdiv($heightMm, 2) : 0, $widthMm, $heightMm,
            Limbs::of(
                $plant, $stage->left, $view, max($widthMm, $heightMm) / self::THINNEST, $stage->insurance,
            ),
            $plant->kind->habit->dense ? Mass::of($stage->left ?? $plant, $view) : [], self::flowers($stage, $view),
            $view === View::Above ? null : $flowersMm,
            CutMarks::of(
                $stage, $view, max($widthMm, $heightMm) / self::SEALS,
                static fn (Spot $at): bool => abs($at->x) < $widthMm / 2 && ($view === View::Above
                    ? abs($at->y) < $heightMm / 2
                    : $at->y > $heightMm / self::SEALS / 2 && $at->y < $heightMm),
            ),
            Trained::of($plant, $view, $heightMm),
            $view === View::Above ? [] : self::measure($heightMm), $heightMm >= self::PERSON_MM,
            self::inWords($stage, $flowersMm),
        );
    }

    /**
     * One plant by itself, in a picture as large as it asks for.
     *
     * @param  int  $leastMm  the height of the picture at the least
     */
    public static function alone(Stage $stage, View $view = View::South, int $leastMm = 300): self
    {
        $reach = max(200, self::reach($stage->plant, $view));
        $height = $view === View::Above
            ? (int) (2.1 * $reach)
            : (int) (1.08 * max($leastMm, self::top($stage->plant)));

        return self::of($stage, (int) (2.1 * $reach), $height, $view);
    }

    /** A stretch of a vine's arm, near enough to count its buds. */
    public static function arm(Stage $stage): self
    {
        $whole = self::of($stage, self::ARM_MM, intdiv(3 * self::ARM_MM, 4));
        $from = $stage->plant->kind->habit->trunkMm - intdiv(self::ARM_MM, 6);

        return new self(
            $whole->view, intdiv(self::ARM_MM, 5), $from, $whole->width, $whole->height,
            array_values(array_filter($whole->limbs, static fn (Limb $limb): bool => self::isWithin($limb, $from))),
            [], $whole->flowers, null,
            $whole->marks->only(static fn (Spot $at): bool => self::isInArm($at, $from)), $whole->trained, [], false,
            $whole->says,
        );
    }

    /** True where a stretch is seen near, and not the whole plant. */
    public function isNear(): bool
    {
        return $this->view !== View::Above && $this->bottom !== 0;
    }

    private static function isWithin(Limb $limb, int $from): bool
    {
        foreach ($limb->spine as $at) {
            if (self::isInArm($at, $from)) {
                return true;
            }
        }

        return false;
    }

    private static function isInArm(Spot $at, int $from): bool
    {
        return $at->x > self::ARM_MM / 5 && $at->x < 1.2 * self::ARM_MM && $at->y > $from
            && $at->y < $from + 0.75 * self::ARM_MM;
    }

    /** How far a plant reaches to any side of its foot, in mm. */
    public static function reach(LivingPlant $plant, View $view = View::South): int
    {
        $reach = 0.0;
        foreach ($plant->places() as $id => $place) {
            $nodes = $plant->axes[$id]->nodes();
            foreach ([$nodes - 1, intdiv($nodes, 2)] as $node) {
                [$right, $up] = $view->project($place->node($node));
                $reach = max($reach, abs($right), $view === View::Above ? abs($up) : 0.0);
            }
        }

        return (int) ceil($reach);
    }

    /** How high anything of a plant stands, dead canes too, in mm. */
    public static function top(LivingPlant $plant): int
    {
        $top = 0.0;
        foreach ($plant->places() as $id => $place) {
            $nodes = $plant->axes[$id]->nodes();
            $top = max($top, $place->node($nodes - 1)[2], $place->node(intdiv($nodes, 2))[2]);
        }

        return (int) ceil($top);
    }

    /** @return non-empty-list<Mark> heights to a picture's top, at round lengths */
    public static function measure(int $topMm): array
    {
        $step = 100;
        foreach ([5000, 2000, 1000, 500, 250] as $length) {
            if ($topMm / $length >= 3) {
                $step = $length;

                break;
            }
        }

        return array_map(
            static fn (int $y): Mark => new Mark($y, $y === 0 ? '0' : Length::ofMm($y)->metric()),
            range(0, intdiv($topMm, $step) * $step, $step),
        );
    }

    /** @return list<Spot> */
    private static function flowers(Stage $stage, View $view): array
    {
        $at = $stage->bloom->at ?? [];
        $every = max(1, (int) ceil(count($at) / self::FLOWERS));
        $places = $stage->plant->places();
        $flowers = [];
        foreach ($at as $index => [$axis, $node]) {
            // Flowers of the other half of its year are not there now.
            if ($index % $every === 0 && isset($places[$axis]) && $node < $stage->plant->axes[$axis]->nodes()) {
                [$x, $y] = $view->project($stage->plant->pointOf($places[$axis], $node));
                $flowers[] = new Spot($x, $y);
            }
        }

        return $flowers;
    }

    private static function inWords(Stage $stage, ?int $flowersMm): string
    {
        $count = count($stage->plant->stems());
        $says = sprintf(
            '%d %s, %s tall', $count, $count === 1 ? 'stem' : 'stems',
            Length::ofMm($stage->plant->heightMm())->metric(),
        );
        if ($stage->left !== null) {
            $gone = $count - count($stage->left->stems());
            $says .= sprintf('; %s, and it is left %s tall', $gone === 0 ? 'no whole stem goes' : (
                $gone === 1 ? 'one stem goes whole' : "$gone stems go whole"
            ), Length::ofMm($stage->left->heightMm())->metric());
        }

        return $flowersMm === null
            ? $says
            : sprintf('%s; its flowers stand up to about %s', $says, Length::ofMm($flowersMm)->metric());
    }
}
