<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        // What was seen of it beside its measures, and when what passes of it was: damage, disease, thirst.
        Schema::table('plants', static function (Blueprint $table): void {
            $table->json('state')->default('{}');
            $table->date('state_on')->nullable();
        });
    }

    public function down(): void
    {
        Schema::table('plants', static fn (Blueprint $table) => $table->dropColumn(['state', 'state_on']));
    }
};
