<?php

declare(strict_types=1);

use Illuminate\Database\Migrations\Migration;
use Illuminate\Database\Schema\Blueprint;
use Illuminate\Support\Facades\Schema;

return new class extends Migration
{
    public function up(): void
    {
        Schema::create('imports', static function (Blueprint $table): void {
            $table->id();
            // What the file holds: plants or gardens.
            $table->string('of');
            $table->string('name');
            $table->string('status');
            $table->text('says')->nullable();
            $table->unsignedInteger('new')->default(0);
            $table->unsignedInteger('changed')->default(0);
            $table->unsignedInteger('same')->default(0);
            $table->unsignedInteger('wrong')->default(0);
            $table->foreignId('user_id')->nullable()->constrained()->nullOnDelete();
            // The versions it made, by which it is taken back.
            $table->unsignedBigInteger('first_change')->nullable();
            $table->unsignedBigInteger('last_change')->nullable();
            $table->timestamps();
        });
        Schema::create('import_rows', static function (Blueprint $table): void {
            $table->id();
            $table->foreignId('import_id')->constrained()->cascadeOnDelete();
            $table->unsignedInteger('line');
            $table->string('does');
            $table->string('label');
            $table->unsignedBigInteger('row_id')->nullable();
            $table->json('facts');
            // What of it is new, or wrong, in words.
            $table->json('says');
            $table->index(['import_id', 'does', 'id']);
            $table->index(['import_id', 'id']);
        });
        // Calendars that phones subscribe to, by a link nobody guesses and that can be shut.
        Schema::create('feeds', static function (Blueprint $table): void {
            $table->id();
            $table->string('digest')->unique();
            $table->foreignId('crew_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('garden_id')->nullable()->constrained()->cascadeOnDelete();
            $table->foreignId('made_by')->nullable()->constrained('users')->nullOnDelete();
            $table->timestamp('created_at')->nullable();
        });
    }

    public function down(): void
    {
        foreach (['feeds', 'import_rows', 'imports'] as $table) {
            Schema::dropIfExists($table);
        }
    }
};
