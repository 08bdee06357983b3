<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // A tap carries a name of its own, so that one sent again because its answer never came is not kept twice.
        Schema::create('stem_taps', static function (Blueprint $table): void {
            $table->string('id', 36)->primary();
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->date('on')->index();
        });
        // Ages are said as of the day of the survey.
        Schema::table('stem_surveys', static fn (Blueprint $table) => $table->date('surveyed_on')->nullable());
    }

    public function down(): void
    {
        Schema::table('stem_surveys', static fn (Blueprint $table) => $table->dropColumn('surveyed_on'));
        Schema::dropIfExists('stem_taps');
    }
};
