<?php

declare(strict_types=1);

use App\Ground\Models\Finding;
use App\Ground\Models\Hindrance;
use Illuminate\Database\Migrations\Migration;
use Illuminate\Support\Facades\DB;

/** Findings and hindrances were kept as the words shown; they are kept by key, so that the words may change. */
return new class extends Migration
{
    public function up(): void
    {
        $this->keep(
            static fn (Finding $finding): array => [$finding->inWords(), $finding->value],
            static fn (Hindrance $why): array => [$why->inWords(), $why->value],
        );
    }

    public function down(): void
    {
        $this->keep(
            static fn (Finding $finding): array => [$finding->value, $finding->inWords()],
            static fn (Hindrance $why): array => [$why->value, $why->inWords()],
        );
    }

    /**
     * @param  callable(Finding): array{string, string}  $ofFinding  what is kept, and what is kept from now on
     * @param  callable(Hindrance): array{string, string}  $ofHindrance
     */
    private function keep(callable $ofFinding, callable $ofHindrance): void
    {
        if (DB::table('work_logs')->doesntExist()) {
            return;
        }
        foreach (array_map($ofFinding, Finding::cases()) as [$was, $is]) {
            DB::table('work_logs')->where('findings', 'like', "%\"$was\"%")->update([
                'findings' => DB::raw(sprintf("replace(findings, '\"%s\"', '\"%s\"')", $was, $is)),
            ]);
        }
        foreach (array_map($ofHindrance, Hindrance::cases()) as [$was, $is]) {
            DB::table('work_logs')->where('why', $was)->update(['why' => $is]);
        }
    }
};
