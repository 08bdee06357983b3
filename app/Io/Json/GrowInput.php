<?php

declare(strict_types=1);

namespace App\Io\Json;

use App\Ground\Bridge\InputFaults;
use App\Ground\Bridge\JsonSchema;
use PruningHook\Core\Fault;
use PruningHook\Core\Growth\Cut;
use PruningHook\Core\Growth\GrowthKind;
use PruningHook\Core\Growth\LivingPlant;
use PruningHook\Core\Growth\Raising;
use PruningHook\Core\PlantBook\GrowthHabits;
use PruningHook\Core\PlantBook\Kind;
use PruningHook\Core\PlantBook\PlantBook;

/**
 * Reads the JSON of docs/formats/grow-input.schema.json: a plant as it stands, and what is cut of it in each season.
 *
 * @phpstan-type GivenCut array{do: string, axis?: int, node?: int, buds?: int, height_mm?: int,
 *     towards_deg?: float|int, distance_mm?: int}
 * @phpstan-type GivenStem array{azimuth_deg: float|int, lean_deg: float|int, length_mm: int, age_years?: ?int,
 *     from_azimuth_deg?: float|int|null}
 * @phpstan-type GivenSeason array{winter?: list<GivenCut>, after_bloom?: list<GivenCut>, summer?: list<GivenCut>}
 * @phpstan-type Given array{ref?: string, kind: string, form?: ?string, season?: int, seasons_grown?: int,
 *     height_mm?: ?int, stems?: list<GivenStem>, seasons: list<GivenSeason>, axes?: bool}
 * @phpstan-type Cuts array{winter: list<Cut>, afterBloom: list<Cut>, summer: list<Cut>}
 */
final class GrowInput
{
    use AsksKind;

    /** A stem may reach above the height that was measured by so much: somebody measured beside it. */
    private const BESIDE = 1.2;

    private function __construct(
        public readonly Kind $kind,
        public readonly LivingPlant $plant,
        /** @var list<Cuts> a season each */
        public readonly array $seasons,
        /** what its shape rests on, in words */
        public readonly string $restsOn,
        public readonly bool $axes,
    ) {
    }

    /** @throws InputFaults with one line for each fault */
    public static function read(string $json, PlantBook $book, GrowthHabits $habits, JsonSchema $schema): self
    {
        /** @var Given $given */
        $given = $schema->read($json);
        $kind = self::kindOf($given['kind'], $book);
        $plant = self::plant(GrowthKind::of($kind, $habits->of($kind, $given['form'] ?? null), $book->figures), $given);

        return new self(
            $kind, $plant, array_map(self::season(...), $given['seasons']), self::rests($given),
            $given['axes'] ?? false,
        );
    }

    /**
     * @param  Given  $given
     *
     * @throws InputFaults
     */
    private static function plant(GrowthKind $kind, array $given): LivingPlant
    {
        $last = ($given['season'] ?? 2027) - 1;
        $seed = $given['ref'] ?? 'plant';
        $height = $given['height_mm'] ?? null;
        try {
            if (! isset($given['stems'])) {
                $plant = Raising::of($kind, $given['seasons_grown'] ?? 6, $last, $seed);

                return $height === null ? $plant : $plant->scaledTo($height);
            }
            self::hold($given['stems'], $height);

            return Raising::fromStems($kind, array_map(static fn (array $stem): array => [
                'azimuth_deg' => (float) $stem['azimuth_deg'], 'lean_deg' => (float) $stem['lean_deg'],
                'length_mm' => $stem['length_mm'], 'age_years' => $stem['age_years'] ?? null,
                'from_azimuth_deg' => isset($stem['from_azimuth_deg']) ? (float) $stem['from_azimuth_deg'] : null,
            ], $given['stems']), $last, $seed);
        } catch (Fault $fault) {
            throw new InputFaults([(isset($given['stems']) ? '$.stems: ' : '$: ').$fault->getMessage()]);
        }
    }

    /**
     * @param  list<GivenStem>  $stems
     *
     * @throws Fault where one reaches further up than the plant is tall
     */
    private static function hold(array $stems, ?int $height): void
    {
        foreach ($height === null ? [] : $stems as $index => $stem) {
            $reaches = $stem['length_mm'] * cos(deg2rad((float) $stem['lean_deg']));
            if ($reaches > self::BESIDE * $height) {
                throw new Fault(sprintf(
                    'stem %d reaches %d mm up and the plant is %d mm tall: one of them was measured wrong', $index,
                    $reaches, $height,
                ));
            }
        }
    }

    /** @param  Given  $given */
    private static function rests(array $given): string
    {
        return match (true) {
            isset($given['stems']) => 'the stems as they were surveyed',
            isset($given['height_mm']) => 'its kind, its seasons and its measured height',
            default => 'its kind and its seasons alone',
        };
    }

    /**
     * @param  GivenSeason  $given
     * @return Cuts
     */
    private static function season(array $given): array
    {
        $cuts = static fn (string $when): array => array_map(self::cut(...), $given[$when] ?? []);

        return [
            'winter' => $cuts('winter'), 'afterBloom' => $cuts('after_bloom'), 'summer' => $cuts('summer'),
        ];
    }

    /** @param  GivenCut  $given */
    private static function cut(array $given): Cut
    {
        // The schema has seen to it that each cut says what it needs.
        $cut = $given + [
            'axis' => 0, 'node' => 0, 'buds' => 1, 'height_mm' => 1, 'towards_deg' => 0, 'distance_mm' => 1,
        ];

        return match ($cut['do']) {
            'thin' => Cut::thin($cut['axis']),
            'head' => Cut::head($cut['axis'], $cut['node']),
            'shorten' => Cut::shorten($given['axis'] ?? null, $cut['buds']),
            'raise' => Cut::raise($cut['height_mm']),
            'face' => Cut::face((float) $cut['towards_deg'], $cut['distance_mm']),
            default => Cut::down($cut['height_mm']),
        };
    }
}
