<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::table('users', static function (Blueprint $table): void {
            // When somebody who was invited first chose a password; and the day they left, from which they only stand
            // in the record.
            $table->timestamp('joined_at')->nullable();
            $table->string('left_on')->nullable();
            $table->string('units')->default('metric');
        });
        DB::table('users')->update(['joined_at' => now()]);
        // What the simulated post office has taken.
        Schema::create('letters', static function (Blueprint $table): void {
            $table->id();
            $table->string('channel');
            $table->string('to');
            $table->string('subject');
            $table->text('body');
            $table->boolean('is_private')->default(false);
            $table->timestamp('created_at')->nullable();
        });
    }

    public function down(): void
    {
        Schema::dropIfExists('letters');
        Schema::table('users', static fn (Blueprint $table) => $table->dropColumn(['joined_at', 'left_on', 'units']));
    }
};
