<?php

declare(strict_types=1);

namespace Tests\Core\Schools;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use PruningHook\Core\Fault;
use PruningHook\Core\Schools\ChoiceLevel;
use PruningHook\Core\Schools\ChosenSchools;
use PruningHook\Core\Schools\SchoolQuestion;
use Tests\Support\TestBook;

final class ChosenSchoolsTest extends TestCase
{
    /**
     * @param  array<string, string>  $firm
     * @param  array<string, string>  $garden
     * @param  array<string, string>  $plant
     */
    #[DataProvider('choices')]
    public function test_the_nearest_to_the_plant_has_the_last_word(
        array $firm,
        array $garden,
        array $plant,
        string $option,
        ChoiceLevel $level,
    ): void {
        $choice = ChosenSchools::of(self::questions(), $firm, $garden)->forPlant($plant)->inForce('ties');
        self::assertSame([$option, $level], [$choice->option, $choice->level]);
        self::assertStringContainsString($level->inWords(), $choice->reason()->because);
    }

    /**
     * @return array<string, array{array<string, string>, array<string, string>, array<string, string>, string,
     *     ChoiceLevel}>
     */
    public static function choices(): array
    {
        [$soft, $string, $loop] = [['ties' => 'soft'], ['ties' => 'string'], ['ties' => 'loop']];

        return [
            'nobody chose' => [[], [], [], 'soft', ChoiceLevel::Default],
            'the firm' => [$string, [], [], 'string', ChoiceLevel::Firm],
            'the garden over the firm' => [$string, $loop, [], 'loop', ChoiceLevel::Garden],
            'the plant over both' => [$string, $loop, $soft, 'soft', ChoiceLevel::Plant],
            'the plant alone' => [[], [], $loop, 'loop', ChoiceLevel::Plant],
        ];
    }

    public function test_laying_a_plants_choice_on_top_leaves_the_practice_as_it_was(): void
    {
        $practice = ChosenSchools::of(self::questions(), ['ties' => 'string']);
        $practice->forPlant(['ties' => 'loop']);
        self::assertSame('string', $practice->inForce('ties')->option);
    }

    /** @param  array<string, string>  $choices */
    #[DataProvider('unknown')]
    public function test_an_unknown_question_or_answer_is_refused_at_every_level(array $choices, string $says): void
    {
        $tries = [
            static fn (): ChosenSchools => ChosenSchools::of(self::questions(), $choices),
            static fn (): ChosenSchools => ChosenSchools::of(self::questions(), [], $choices),
            static fn (): ChosenSchools => ChosenSchools::of(self::questions())->forPlant($choices),
        ];
        foreach ($tries as $try) {
            try {
                $try();
                self::fail('taken without a word');
            } catch (Fault $fault) {
                self::assertStringContainsString($says, $fault->getMessage());
            }
        }
    }

    /** @return array<string, array{array<string, string>, string}> */
    public static function unknown(): array
    {
        return [
            'a question' => [['knots' => 'soft'], '"knots" is not a question'],
            'an answer' => [['ties' => 'wire'], 'choose soft or string or loop'],
        ];
    }

    public function test_every_school_of_the_book_is_asked_by_some_kind_and_its_default_is_an_answer(): void
    {
        $asked = [];
        foreach (TestBook::read()->all() as $kind) {
            $asked = [...$asked, ...$kind->questions()];
        }
        foreach (TestBook::read()->questions as $question) {
            self::assertContains($question->key, $asked);
            self::assertArrayHasKey($question->default, $question->options);
            self::assertGreaterThanOrEqual(2, count($question->options));
        }
    }

    /** @return array<string, SchoolQuestion> */
    private static function questions(): array
    {
        return [
            'ties' => new SchoolQuestion(
                'ties',
                'Ties',
                ['soft' => 'a soft tie', 'string' => 'a string loop', 'loop' => 'a loose cable tie'],
                'soft',
                'common practice',
            ),
        ];
    }
}
