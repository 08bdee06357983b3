<?php

declare(strict_types=1);

namespace Tests\Feature\Season;

use App\Ground\Models\Garden;
use App\Ground\Models\Plant;
use App\Ground\Support\SearchTables;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\FeatureTestCase;

/**
 * Plants and gardens are found by any piece of what they are called, and what is found keeps up with what is written.
 */
final class FindTest extends FeatureTestCase
{
    #[DataProvider('texts')]
    public function test_a_piece_of_a_name_finds_it_in_any_writing_of_case(string $text, bool $found): void
    {
        Garden::factory()->create([
            'name' => 'The Old Nursery',
            'client' => 'Brindle Trust',
            'address' => 'Nursery Road 7',
        ]);
        self::assertSame($found, SearchTables::ids('gardens', $text)->exists());
    }

    /** @return list<array{string, bool}> */
    public static function texts(): array
    {
        return [
            ['nursery', true],
            ['NURS', true],
            ['sery Ro', true],
            ['brindle', true],
            ['7', true],
            ['ol', true],
            ['ld', false],
            ['the', true],
            ['orchard', false],
            ['%', false],
            ['_', false],
            ['"', false],
            ['nursery" OR "x', false],
            ['*', false],
        ];
    }

    public function test_full_text_and_plain_comparison_find_the_same(): void
    {
        foreach (
            ['Wisteria on the barn', 'WISTERIA 2', "Wiste'ria", '50 % off', 'under_score', 'Rosé', 'ab'] as $label
        ) {
            Plant::factory()->create(['garden_id' => $this->garden->id, 'label' => $label, 'bed' => 'South wall']);
        }
        foreach (['wisteria', 'south', "te'r", '50 %', 'r_s', 'barn', 'wall', 'osé', 'nothing', ' % '] as $text) {
            $full = SearchTables::ids('plants', $text)->pluck('id')->sort()->values()->all();
            self::assertSame(
                array_map(intval(...), SearchTables::plain('plants', $text)->pluck('id')->sort()->values()->all()),
                array_map(intval(...), $full),
                $text,
            );
        }
    }

    public function test_what_is_renamed_or_taken_out_is_found_as_it_is_now(): void
    {
        $see = fn (string $text) => $this->actingAs($this->hand())
            ->get('/search?q='.urlencode($text))
            ->assertOk();
        $see('south wall')->assertSee('Wisteria on the south wall');
        $this->wisteria->update(['label' => 'Giant of the yard']);
        $see('south wall')->assertSee('Nothing is called');
        $see('giant')->assertSee('Giant of the yard');
        $this->wisteria->delete();
        $see('giant')->assertSee('Nothing is called');
        $this->wisteria->restore();
        $see('giant')->assertSee('Giant of the yard');
        $this->garden->update(['name' => 'Tannery House']);
        $see('millrace')->assertSee('Nothing is called');
        $see('tannery')->assertSee('Tannery House')->assertSee('Giant of the yard');
    }

    public function test_many_finds_are_cut_short_and_say_where_all_of_them_are(): void
    {
        Plant::factory()
            ->count(30)
            ->create(['garden_id' => $this->garden->id, 'label' => 'One of many']);
        $page = $this->actingAs($this->hand())
            ->get('/search?q=one of many')
            ->assertOk()
            ->assertSee('There are more.')
            ->getContent();
        self::assertSame(24, substr_count((string) $page, '>One of many<'));
        $this->get('/?q=one of many')->assertOk()->assertSee('One of many');
    }

    public function test_gardens_are_offered_while_a_name_is_typed(): void
    {
        Garden::factory()->create(['name' => 'Millstone Barn', 'client' => 'A. Client']);
        $this->actingAs($this->hand())
            ->getJson('/search/gardens?q=mill')
            ->assertOk()
            ->assertJsonCount(2)
            ->assertJsonPath('0.name', 'Millrace House');
        $this->getJson('/search/gardens?q=')->assertOk()->assertExactJson([]);
        $this->get('/?garden=millst')
            ->assertOk()
            ->assertSee('value="Millstone Barn"', false)
            ->assertDontSee('Wisteria on the south wall');
    }
}
