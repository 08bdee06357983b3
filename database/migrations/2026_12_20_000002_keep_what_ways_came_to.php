<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

/** What each way of cutting a kind came to in each garden: comparing them adds these up, and not every log. */
return new class extends Migration
{
    public function up(): void
    {
        Schema::create('kept_treatments', static function (Blueprint $table): void {
            $table->foreignId('garden_id')->constrained()->cascadeOnDelete();
            $table->string('kind');
            $table->string('recipe');
            foreach (['times', 'plants', 'minutes', 'timed', 'removed', 'estimated', 'blooms', 'score', 'scored',
                'height', 'measured', 'ill', 'rank'] as $sum) {
                $table->unsignedInteger($sum);
            }
            $table->primary(['kind', 'recipe', 'garden_id']);
            $table->index('garden_id');
        });
        // Every garden is worked out once more, so that it has them.
        DB::table('kept_gardens')->update(['revision' => 0, 'digest' => '']);
    }

    public function down(): void
    {
        Schema::dropIfExists('kept_treatments');
    }
};
