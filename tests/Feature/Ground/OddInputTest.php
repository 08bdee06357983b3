<?php

declare(strict_types=1);

namespace Tests\Feature\Ground;

use App\Ground\Models\Plant;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\Feature\FeatureTestCase;

/** What nobody means: lists for words, no writing, no end, no such number. A word beside the field or no such page. */
final class OddInputTest extends FeatureTestCase
{
    /** @return array<string, array{string, list<string>}> */
    public static function looks(): array
    {
        return [
            'the season' => ['/', ['q', 'kind', 'garden', 'show', 'crew', 'zoom', 'by', 'page', '0', '1']],
            'the search' => ['/search', ['q']],
            'gardens offered' => ['/search/gardens', ['q']],
            'the gardens' => ['/gardens', ['q', 'page']],
            'the record' => ['/record', ['q', 'garden', 'season', 'outcome', 'found', 'left', 'before', '0']],
            'ways compared' => ['/record/compare', ['kind']],
            'the plan' => ['/plan', ['week', 'visit', 'crew']],
            'the round' => ['/round', ['crew']],
            'the plant book' => ['/plant-book', ['q', 'wood', 'habit', 'month', 'own']],
            'a new kind' => ['/plant-book/new', ['like']],
            'frost dates' => ['/frost-dates', ['latitude', 'longitude', 'elevation_m']],
            'a new password' => ['/new-password/abc', ['email']],
            'a plant' => ['/plants/1', ['cut']],
            'its drawing' => ['/plants/1/drawing', ['task', 'height_cm', 'flowering_height_cm']],
            'its stems' => ['/plants/1/stems', ['stem']],
            'a visit planned' => ['/gardens/1/visits/plan', ['on', 'outside_reason', 'crew_id', 'tasks']],
        ];
    }

    /** @param  list<string>  $fields */
    #[DataProvider('looks')]
    public function test_a_page_is_shown_whatever_is_asked_of_it(string $page, array $fields): void
    {
        $this->actingAs($this->planner());
        foreach ($fields as $field) {
            foreach (
                ['[]=a', '[a][b]=c', '=%FF%FE', '=a%00b', '=99999999999999999999999', '=9999-12-31', '=0001-01-01',
                    '=%F0%9F%8C%B3', '=', '='.str_repeat('x', 5000)] as $value
            ) {
                $status = $this->get("$page?$field$value")->getStatusCode();
                self::assertContains($status, [200, 302, 404, 422], "$page?$field".substr($value, 0, 40));
            }
        }
    }

    public function test_no_row_has_a_number_of_23_digits(): void
    {
        $this->actingAs($this->planner());
        foreach (['99999999999999999999999', '1e3', '-1', '1%00', '%FF', 'abc', str_repeat('9', 300)] as $number) {
            foreach (['/gardens/%s', '/plants/%s', '/plants/%s/stems', '/visits/%s', '/plan/drafts/%s'] as $page) {
                self::assertContains($this->get(sprintf($page, $number))->getStatusCode(), [400, 404]);
            }
            self::assertContains($this->post("/plants/$number/restore")->getStatusCode(), [400, 404]);
            self::assertContains($this->put("/tasks/$number/log")->getStatusCode(), [400, 404]);
        }
    }

    public function test_what_cannot_be_kept_is_told_beside_its_field_and_the_rest_is_not_lost(): void
    {
        $good = [
            'kind' => 'bush-rose', 'label' => 'By the gate', 'count' => '1', 'bed' => 'front', 'height_cm' => '90',
        ];
        $form = "/gardens/{$this->garden->id}/plants/create";
        $save = fn (array $more) => $this->actingAs($this->planner())->from($form)
            ->post("/gardens/{$this->garden->id}/plants", [...$good, ...$more]);
        $odd = [
            'signs of no writing' => ['bed', "\xff\xfe"], 'the end of a text' => ['bed', "a\0b"],
            'a list' => ['label', ['a', ['b']]], 'a megabyte' => ['label', str_repeat('x', 1_048_576)],
            'past 2^63' => ['height_cm', '9223372036854775808'], 'no number' => ['count', '1e309'],
            'a year too far' => ['planted_on', '9999-12-31'], 'a year long past' => ['planted_on', '0001-01-01'],
        ];
        foreach ($odd as $what => [$field, $value]) {
            $save([$field => $value])->assertRedirect($form)->assertSessionHasErrors($field);
            $kept = $this->get($form)->assertOk()
                ->assertSee($field === 'bed' ? 'value="90"' : 'value="front"', false);
            self::assertStringNotContainsString("\xff", (string) $kept->getContent(), $what);
        }
        self::assertSame(1, Plant::query()->where('garden_id', $this->garden->id)->count());
        $this->postJson("/gardens/{$this->garden->id}/plants", ['label' => "a\0b"])->assertUnprocessable()
            ->assertJsonValidationErrors(['label' => 'This contains invalid characters. Type it again.']);
        $save([])->assertSessionHasNoErrors();
    }

    public function test_a_visit_is_planned_for_days_somebody_can_think_of(): void
    {
        $visit = $this->visit();
        $this->actingAs($this->planner());
        $far = 'A visit is planned at most three years ahead.';
        $this->put("/visits/$visit->id", ['on' => '9999-12-31', 'outside_reason' => 'So it was wished'])
            ->assertSessionHasErrors(['on' => $far]);
        $this->put("/plan/visits/$visit->id", ['on' => '9999-12-31', 'crew' => $this->crew->id, 'reason' => 'Wished'])
            ->assertSessionHasErrors(['on' => $far]);
        $this->post("/gardens/{$this->garden->id}/visits", [
            'on' => '2031-01-01', 'tasks' => ["{$this->wisteria->id}:winter-pass:2031"], 'outside_reason' => 'Wished',
        ])->assertSessionHasErrors(['on' => $far]);
        $this->put("/visits/$visit->id", ['on' => '2026-02-01', 'outside_reason' => 'So it was wished'])
            ->assertSessionHasErrors(['on' => 'A visit is planned for today or later.']);
    }
}
