<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('stem_surveys', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('plant_id')->constrained()->cascadeOnDelete();
            $table->unsignedSmallInteger('season');
            // As docs/formats/judge-input.schema.json has it, without the kind.
            $table->json('state');
            // The states before, for undo, the latest last.
            $table->json('before');
            $table->foreignId('written_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamps();
            $table->unique(['plant_id', 'season']);
        });
        Schema::table('visit_tasks', static function (Blueprint $table): void {
            $table->json('cut_plan')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('visit_tasks', static fn (Blueprint $table) => $table->dropColumn('cut_plan'));
        Schema::dropIfExists('stem_surveys');
    }
};
