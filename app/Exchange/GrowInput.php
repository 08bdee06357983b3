<?php

declare(strict_types=1);

namespace App\Exchange;

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
        $kind = $book->find($given['kind']);
        if ($kind === null) {
            $near = $book->nearestName($given['kind']);
            throw new InputFaults([sprintf(
                '$.kind: the plant book has no kind "%s"%s', $given['kind'],
                $near === null ? '' : sprintf('; did you mean "%s"?', $near),
            )]);
        }
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
            foreach ($given['stems'] as $index => $stem) {
                $reaches = $stem['length_mm'] * cos(deg2rad((float) $stem['lean_deg']));
                if ($height !== null && $reaches > self::BESIDE * $height) {
                    throw new Fault(sprintf(
                        'stem %d reaches %d mm up and the plant is %d mm tall: one of them was measured wrong', $index,
                        $reaches, $height,
                    ));
                }
            }

            return Raising::fromStems($kind, array_map(static fn (array $stem): array => [
                'azimuth_deg' => (float) $stem['azimuth_deg'], 'lean_deg' => (float) $stem['lean_deg'],
                'length_mm' => $stem['length_mm'], 'age_years' => $stem['age_years'] ?? null,
                'from_azimuth_deg' => isset($stem['from_azimuth_deg']) ? (float) $stem['from_azimuth_deg'] : null,
            ], $given['stems']), $last, $seed);
        } catch (Fault $fault) {
            throw new InputFaults([(isset($given['stems']) ? '$.stems: ' : '$: ').$fault->getMessage()]);
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

    /** @param  GivenCut  $cut */
    private static function cut(array $cut): Cut
    {
        return match ($cut['do']) {
            'thin' => Cut::thin($cut['axis'] ?? 0),
            'head' => Cut::head($cut['axis'] ?? 0, $cut['node'] ?? 0),
            'shorten' => Cut::shorten($cut['axis'] ?? null, $cut['buds'] ?? 1),
            'raise' => Cut::raise($cut['height_mm'] ?? 1),
            'face' => Cut::face((float) ($cut['towards_deg'] ?? 0), $cut['distance_mm'] ?? 1),
            default => Cut::down($cut['height_mm'] ?? 1),
        };
    }
}
